import { FREQUENCY_NAMES } from "@/core";
import { PLAN_KIND_NAMES } from "./kinds";
import type { PlanFile } from "./plan.schema";

/** What kind of plan it is and how often it is paid: "loan, paid every two weeks". */
export function planTitle({ kind, frequency, datedPayments }: PlanFile): string {
  const name = PLAN_KIND_NAMES[kind];
  return datedPayments
    ? `${name}, ${datedPayments.length} listed payments`
    : `${name}, paid ${FREQUENCY_NAMES[frequency].every}`;
}
