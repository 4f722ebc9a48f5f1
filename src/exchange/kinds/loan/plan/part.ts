import type { LoanPlan } from "@/core";
import type { Reader } from "../../../reading";
import type { Writer } from "../../../text";
import type { PlanFile } from "./plan.schema";

/**
 * What a part of a plan brings besides its schema: how it is read, and its words for the screen. A part that is not in
 * the file reads as nothing and says nothing.
 */
export type PlanPart = {
  read: (plan: PlanFile, read: Reader) => Partial<LoanPlan> | undefined;
  /** A phrase each, such as "balloon 30 % of the price". */
  words: (plan: PlanFile, write: Writer) => string[];
};

/** A member as it stands in the file, under its own name; nothing where it is left out. */
export function asItStands(
  plan: PlanFile,
  name: keyof PlanFile & keyof LoanPlan,
): Partial<LoanPlan> | undefined {
  return plan[name] === undefined ? undefined : { [name]: plan[name] };
}
