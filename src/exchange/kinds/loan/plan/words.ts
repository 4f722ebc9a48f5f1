import { fileWriter } from "../../../text";
import { PLAN_PARTS } from "./parts";
import type { PlanFile } from "./plan.schema";

/**
 * What a plan has beyond its rate, its term and its dates, one phrase each.
 *
 * @example planWords(plan, "USD") // ["paid in advance", "balloon 30 % of the price"]
 */
export function planWords(plan: PlanFile, currency: string): string[] {
  const write = fileWriter(currency);
  return PLAN_PARTS.flatMap(part => part.words(plan, write)).filter(Boolean);
}
