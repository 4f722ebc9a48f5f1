import type { DealFile } from "../deal-file";
import { PLAN_KIND_NAMES } from "../kinds/loan/plan/kinds";

/** The kinds of plan that deals are told apart by. */
export const REGISTER_KINDS = { ...PLAN_KIND_NAMES, balloon: "balloon loan", lease: "lease" };

export type RegisterKind = keyof typeof REGISTER_KINDS;

/** What kind of plan an option has. */
export function registerKind({ plan }: DealFile): RegisterKind {
  return plan.kind === "loan" && plan.balloon ? "balloon" : plan.kind;
}
