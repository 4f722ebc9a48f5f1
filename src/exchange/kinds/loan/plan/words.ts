import { FREQUENCY_NAMES } from "@/core";
import { fileWriter } from "../../../text";
import { PLAN_KIND_NAMES } from "./kinds";
import { PLAN_PARTS } from "./parts";
import type { PlanFile } from "./plan.schema";

/** What kind of plan it is and how often it is paid: "loan, paid every two weeks". */
export function planTitle({ kind, frequency, datedPayments }: PlanFile): string {
  const name = PLAN_KIND_NAMES[kind];
  return datedPayments
    ? `${name}, ${datedPayments.length} listed payments`
    : `${name}, paid ${FREQUENCY_NAMES[frequency].every}`;
}

/**
 * What a plan has beyond its rate, its term and its dates, one phrase each.
 *
 * @example planWords(plan, "USD") // ["paid in advance", "balloon 30 % of the price"]
 */
export function planWords(plan: PlanFile, currency: string): string[] {
  const write = fileWriter(currency);
  return PLAN_PARTS.flatMap(part => part.words(plan, write)).filter(Boolean);
}
