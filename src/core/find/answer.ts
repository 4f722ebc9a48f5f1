import { type Deal, missingFigures, type Priced, price, withoutPayment } from "../deal";
import { type PaymentRow, readTerms, solvable, type Terms } from "../plans/loan";
import { type Result, success } from "../result";
import { contradiction } from "./contradiction";
import { priceFromAmount } from "./price-from-amount";
import { search } from "./search";
import { termFromEndDate } from "./term-from-end-date";

/** A deal with its figure found and everything about it priced. */
export type Answer = {
  /** The deal with the figure filled in, which asks for its payment. */
  filled: Deal;
  terms: Terms;
  priced: Priced;
  /** A plain sentence where the answer wants explaining. */
  note?: string;
};

/**
 * Finds a deal's figure and prices the deal with it.
 *
 * Money and numbers of payments that are found are whole, and the last on the right side of the figure that
 * they are found from: a price is the largest whose payment or cost does not pass the one asked for, a cash
 * down, an allowance or an extra the smallest. A rate is the roundest that gives the same. A payment that they are
 * found from is paid as it was given, and the last one is smaller where it does not divide the loan evenly.
 *
 * @param rows where to put the lines of the repayment table; without it only the totals are made
 * @returns the answer, or a failure with the reason and the nearest figure that works
 */
export function answer(deal: Deal, rows?: PaymentRow[]): Result<Answer> {
  const contradicted = contradiction(deal);
  if (contradicted) return contradicted;
  const priceKnown = priceFromAmount(deal);
  if (!priceKnown.ok) return priceKnown;
  const missing = missingFigures(priceKnown.value);
  if (missing) return { ok: false, failure: missing };
  const timed = termFromEndDate(priceKnown.value);
  if (!timed.ok) return timed;
  if (timed.value.find === "payment" && timed.value.from === undefined) {
    return priced(withoutPayment(timed.value), solvable, rows);
  }
  const found = search(timed.value);
  if (!found.ok) return found;
  const { filled, noteOn } = found.value;
  const answered = priced(filled, success, rows);
  if (!answered.ok) return answered;
  const note = noteOn(answered.value.priced);
  return success({ ...answered.value, ...(note && { note }) });
}

function priced(
  filled: Deal,
  check: (terms: Terms) => Result<Terms>,
  rows: PaymentRow[] | undefined,
): Result<Answer> {
  const read = readTerms(filled);
  const terms = read.ok ? check(read.value) : read;
  if (!terms.ok) return terms;
  const answered = price(filled, terms.value, rows);
  return answered.ok ? success({ filled, terms: terms.value, priced: answered.value }) : answered;
}
