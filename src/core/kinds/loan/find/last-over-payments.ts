import { lastWhole } from "../../../solve";
import { mostRounding, type Terms } from "../plan";

const MOST_PAYMENTS_TRIED = 512;

/**
 * The last number at which a cost is not above the one asked for, where the cost rises and falls again.
 *
 * While what is solved for stays the same a larger loan costs more. Where it goes up by its step the loan
 * costs a little less, because more is repaid sooner. So past one number on the right side there can be
 * others: the cost is looked at again at each of those starts, until it is further above the one
 * asked for than rounding can bring it back.
 *
 * @param first a number on the right side whose next is not
 * @param high the last number of the range
 * @param cost rises with the number as long as what is solved for stays the same; above zero beyond the one asked for
 * @param solved what is solved for, rounded; rises with the number
 * @param terms the plan, which says how far rounding can move the cost
 * @returns the number, and whether it is surely the last: the search ends after so many payments
 */
export function lastOverPayments(
  first: number,
  high: number,
  cost: (whole: number) => number,
  solved: (whole: number) => number,
  terms: Terms,
): { last: number; isSure: boolean } {
  const most = mostRounding(terms);
  let held = first;
  let at = first + 1;
  let width = 1;
  for (let tries = 0; tries < MOST_PAYMENTS_TRIED; tries++) {
    const same = solved(at);
    const next = 1 + lastWhole(whole => solved(whole) - same, at, high, at + width);
    if (next > high || !Number.isFinite(solved(next))) return { last: held, isSure: true };
    width = next - at;
    at = next;
    const beyond = cost(at);
    if (beyond > most) return { last: held, isSure: true };
    if (beyond <= 0) {
      // No less than this one, wherever the budget of work ends.
      held = Math.max(lastWhole(cost, at, high, at), at);
      at = held + 1;
    }
  }
  return { last: held, isSure: false };
}
