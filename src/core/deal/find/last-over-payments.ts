import { lastWhole } from "../../solve";
import type { Terms } from "../terms";

const MOST_PAYMENTS_TRIED = 512;

/**
 * The last number at which a cost is not above the one asked for, where the cost rises and falls again.
 *
 * While the rounded payment stays the same a larger loan costs more. Where the payment goes up by its step it
 * costs a little less, because more is repaid sooner. So past one number on the right side there can be
 * others: the cost is looked at again at each start of a new payment, until it is further above the one
 * asked for than rounding can bring it back.
 *
 * @param first a number on the right side whose next is not
 * @param high the last number of the range
 * @param cost rises with the number as long as the payment stays the same; above zero beyond the one asked for
 * @param payment rises with the number
 * @param terms the plan, which says how far rounding can move the cost
 */
export function lastOverPayments(
  first: number,
  high: number,
  cost: (whole: number) => number,
  payment: (whole: number) => number,
  terms: Terms,
): number {
  const most = mostRounding(terms);
  let held = first;
  let at = first + 1;
  let width = 1;
  for (let tries = 0; tries < MOST_PAYMENTS_TRIED; tries++) {
    const same = payment(at);
    const next = 1 + lastWhole(whole => payment(whole) - same, at, high, at + width);
    if (next > high || !Number.isFinite(payment(next))) return held;
    width = next - at;
    at = next;
    const beyond = cost(at);
    if (beyond > most) return held;
    if (beyond <= 0) {
      held = lastWhole(cost, at, high, at);
      at = held + 1;
    }
  }
  return held;
}

/** How far the rounding of every row can move the total: half a unit each, with interest to the end. */
function mostRounding({ solver, draft, payments, rounding }: Terms): number {
  if (draft.flat) return 0;
  const { level, atEnd } = solver.worth;
  return 2 * rounding.step * (level / atEnd + payments);
}
