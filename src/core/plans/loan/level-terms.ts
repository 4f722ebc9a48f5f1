import { type Result, success } from "../../result";
import type { LoanPlan } from "./plan";
import { level } from "./shapes/level";
import { type Parts, type Planned, type Terms, termsWith } from "./terms";

/** What of a plan makes another loan of it than a level one. */
const SHAPING = [
  "balloon",
  "deferred",
  "interestOnly",
  "skippedMonths",
  "steps",
  "datedPayments",
  "extra",
] as const satisfies (keyof LoanPlan)[];

/** Whether a plan has the same payment on every date, and nothing besides. */
export function hasLevelPlan(plan: LoanPlan): boolean {
  return plan.kind === "loan" && SHAPING.every(part => plan[part] === undefined || plan[part] === null);
}

const LEVEL: Parts = { shapes: [level], extras: () => success({ events: [], late: [] }) };

/**
 * Checks a plan that {@link hasLevelPlan} and prepares it: what starts with such a loan needs none of the other shapes.
 *
 * @returns the terms, or a failure with the first figure that cannot be, and what would be accepted
 */
export const readLevelTerms = (planned: Planned): Result<Terms> => termsWith(LEVEL, planned);
