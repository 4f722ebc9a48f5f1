import type { LoanPlan } from "@/core";
import type { Reader } from "../../reading";
import type { PlanFile } from "./plan.schema";

/** Writes what was typed for people, in the deal's currency. */
export type Writer = { money: (typed: string | number) => string; date: (iso: string) => string };

/**
 * What a part of a plan brings besides its schema: how it is read, and its words for the screen. A part that is not in
 * the file reads as nothing and says nothing.
 */
export type PlanPart = {
  read: (plan: PlanFile, read: Reader) => Partial<LoanPlan>;
  /** A phrase each, such as "balloon 30 % of the price". */
  words: (plan: PlanFile, write: Writer) => string[];
};

/** Members as they stand in the file, under their own names; nothing where they are left out. */
export function asTheyStand(
  plan: PlanFile,
  ...names: (keyof PlanFile & keyof LoanPlan)[]
): Partial<LoanPlan> {
  const given: Record<string, unknown> = {};
  for (const name of names) if (plan[name] !== undefined) given[name] = plan[name];
  return given;
}
