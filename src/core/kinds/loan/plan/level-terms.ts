import { type Result, success } from "../../../result";
import type { LoanPlan } from "./plan";
import type { ShapeInputs } from "./shapes";
import { level } from "./shapes/level";
import { type Parts, type Planned, type Terms, termsWith } from "./terms";

/** What of a plan makes another loan of it than a level one; its kind is looked at apart. */
const CHANGES_SHAPE: Record<Exclude<keyof ShapeInputs, "kind"> | "extra", boolean> = {
  earning: false,
  balloon: true,
  deferred: true,
  interestOnly: true,
  skippedMonths: true,
  steps: true,
  datedPayments: true,
  extra: true,
  earlyFee: false,
  rounding: false,
  roundingStep: false,
};

const SHAPING = (Object.keys(CHANGES_SHAPE) as (keyof typeof CHANGES_SHAPE)[]).filter(
  part => CHANGES_SHAPE[part],
);

/** Whether a plan has the same payment on every date, and nothing besides. */
export function hasLevelPlan(plan: LoanPlan): boolean {
  return plan.kind === "loan" && SHAPING.every(part => plan[part] === undefined || plan[part] === null);
}

const LEVEL: Parts = {
  shapes: [level],
  extras: () => success({ events: [], late: [] }),
  byExtras: null,
  earlyFeesOf: null,
};

/**
 * Checks a plan that {@link hasLevelPlan} and prepares it: what starts with such a loan needs none of the other shapes.
 *
 * @returns the terms, or a failure with the first figure that cannot be, and what would be accepted
 */
export const readLevelTerms = (planned: Planned): Result<Terms> => termsWith(LEVEL, planned);
