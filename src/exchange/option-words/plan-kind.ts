import type { DealInputs } from "../deal-file";

/** The kinds of plan that deals are told apart by. */
export const REGISTER_KINDS = {
  loan: "loan",
  balloon: "balloon loan",
  flatRate: "flat-rate loan",
  equalPrincipal: "equal-principal loan",
  lease: "lease",
} as const;

export type RegisterKind = keyof typeof REGISTER_KINDS;

/** What kind of plan an option has. */
export function registerKind({ plan }: DealInputs): RegisterKind {
  return plan.kind === "loan" && plan.balloon ? "balloon" : plan.kind;
}
