import { type Deal, missingFigures, type Priced, price, withoutPayment } from "../deal";
import { type PaymentRow, readTerms, solvable, type Terms } from "../plans/loan";
import { type Result, success } from "../result";

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
 * Prices a deal that is {@link isPlain}.
 *
 * @param rows where to put the lines of the repayment table; without it only the totals are made
 */
export function plainAnswer(deal: Deal, rows?: PaymentRow[]): Result<Answer> {
  const missing = missingFigures(deal);
  return missing ? { ok: false, failure: missing } : pricedAnswer(withoutPayment(deal), solvable, rows);
}

/** A deal with nothing left to find, priced. */
export function pricedAnswer(
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
