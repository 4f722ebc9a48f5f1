import { type Deal, type Priced, price } from "../deal";
import type { PaymentRow, Terms } from "../plan";
import { type Result, success } from "../../../result";

/** A deal with its figure found and everything about it priced. */
export type Answer = {
  /** The deal with the figure filled in, which asks for its payment. */
  filled: Deal;
  terms: Terms;
  priced: Priced;
  /** A plain sentence where the answer wants explaining. */
  note?: string;
};

/** A deal with nothing left to find, priced by the terms of its plan. */
export function pricedAnswer(
  filled: Deal,
  terms: Result<Terms>,
  rows: PaymentRow[] | undefined,
): Result<Answer> {
  if (!terms.ok) return terms;
  const answered = price(filled, terms.value, rows);
  return answered.ok ? success({ filled, terms: terms.value, priced: answered.value }) : answered;
}
