import { type Result, success } from "../../../result";
import { type LoanDeal, missingFigures, withoutPayment } from "../deal";
import { type PaymentRow, readTerms, solvable } from "../plan";
import { contradiction } from "./contradiction";
import { isPlain } from "./is-plain";
import { plainAnswer } from "./plain-answer";
import { priceFromAmount } from "./price-from-amount";
import { type Answer, pricedAnswer } from "./priced-answer";
import { type Searched, search } from "./search";
import { termFromEndDate } from "./term-from-end-date";

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
export function answer(deal: LoanDeal, rows?: PaymentRow[]): Result<Answer> {
  if (isPlain(deal)) return plainAnswer(deal, rows);
  const found = fill(deal);
  if (!found.ok) return found;
  const { filled, isTimed, noteOn } = found.value;
  const given = isTimed ? withoutPayment(filled) : filled;
  const terms = readTerms(given);
  const answered = pricedAnswer(given, isTimed && terms.ok ? solvable(terms.value) : terms, rows);
  if (!answered.ok) return answered;
  const note = noteOn(answered.value.priced);
  return success({ ...answered.value, ...(note && { note }) });
}

/**
 * A deal with its figure filled in, asking for the payment that it takes, which is what the figure was found from or the
 * last on the right side of it.
 *
 * @returns the deal, or a failure with the reason
 */
export function withFound(deal: LoanDeal): Result<LoanDeal> {
  const found = fill(deal);
  return found.ok ? success(withoutPayment(found.value.filled)) : found;
}

/** What is searched for, filled in; `isTimed` where an end date alone gives it. */
function fill(deal: LoanDeal): Result<Searched & { isTimed: boolean }> {
  const contradicted = contradiction(deal);
  if (contradicted) return contradicted;
  const priceKnown = priceFromAmount(deal);
  if (!priceKnown.ok) return priceKnown;
  const missing = missingFigures(priceKnown.value);
  if (missing) return { ok: false, failure: missing };
  const timed = termFromEndDate(priceKnown.value);
  if (!timed.ok) return timed;
  if (isPlain(timed.value)) return success({ filled: timed.value, isTimed: true, noteOn: () => undefined });
  const found = search(timed.value);
  return found.ok ? success({ ...found.value, isTimed: false }) : found;
}
