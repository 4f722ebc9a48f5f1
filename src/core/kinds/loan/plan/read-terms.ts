import { failure, type Result, success } from "../../../result";
import { earlyFeesOf } from "./early-fee";
import { extraEvents } from "./extras";
import { BY_EXTRAS } from "./repay";
import { SHAPES } from "./shapes";
import { type Parts, type Planned, type Terms, termsWith } from "./terms";

const ALL: Parts = { shapes: SHAPES, extras: extraEvents, byExtras: BY_EXTRAS, earlyFeesOf };

/**
 * Checks a plan and prepares it. Every figure of it is given.
 *
 * @returns the terms, or a failure with the first figure that cannot be, and what would be accepted
 */
export const readTerms = (planned: Planned): Result<Terms> => termsWith(ALL, planned);

/** Terms with a payment left to find; a failure where every one is given. */
export function solvable(terms: Terms): Result<Terms> {
  if (terms.solver.worth.solved > 0) return success(terms);
  const figure = terms.isListed ? "datedPayments" : "steps";
  return failure(figure, "Every payment is given, so that none is left to find; leave the one to find out.");
}
