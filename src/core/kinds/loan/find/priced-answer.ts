import { type Result, success } from "../../../result";
import { type LoanDeal, type Priced, price } from "../deal";
import type { PaymentRow, Terms } from "../plan";

/** A deal with its figure found and everything about it priced. */
export type Answer = {
  /** The deal with the figure filled in, which asks for its payment. */
  filled: LoanDeal;
  terms: Terms;
  priced: Priced;
  /** A plain sentence where the answer wants explaining. */
  note?: string;
};

/** A deal with nothing left to find, priced by the terms of its plan. */
export function pricedAnswer(
  filled: LoanDeal,
  terms: Result<Terms>,
  rows: PaymentRow[] | undefined,
): Result<Answer> {
  if (!terms.ok) return terms;
  const answered = price(filled, terms.value, rows);
  return answered.ok ? success({ filled, terms: terms.value, priced: answered.value }) : answered;
}
