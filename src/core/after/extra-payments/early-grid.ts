import type { Extra } from "../../kinds/loan/plan";
import type { LoanQuote } from "../../kinds/loan/quote";
import type { Result } from "../../result";
import { inPlaceOf } from "./in-place-of";
import { type RepaidEarly, repaidEarly } from "./repaid-early";

/** Amounts of extra money to set against one another, in minor units. */
export type EarlyGrid = {
  /** With each payment. */
  each: readonly number[];
  /** Once, right after a payment. */
  once: readonly number[];
  after: number;
};

/** What extra money of two kinds together makes of a loan. */
export type GridPlace = { each: number; once: number; repaid: Result<RepaidEarly> };

/**
 * Repays a loan with each amount of one kind of extra money by each of another, row by row: with each payment, in place of
 * what is tried with each, and once, in place of what is tried on that day. All else that is tried comes besides.
 *
 * @param quote an answered deal
 * @param early what is tried
 * @param grid the amounts
 * @example [...walkEarlyGrid(campervan, {}, { each: [5_426], once: [0], after: 24 })].length // 1
 */
export function* walkEarlyGrid(quote: LoanQuote, early: Extra, grid: EarlyGrid): Generator<GridPlace> {
  const { amount: _, ...fromTo } = early.each ?? { amount: 0 };
  for (const once of grid.once) {
    const withOnce = inPlaceOf(quote, early, { after: grid.after }, once);
    for (const each of grid.each)
      yield {
        each,
        once,
        repaid: repaidEarly(quote, inPlaceOf(quote, withOnce, { each: fromTo }, each)),
      };
  }
}
