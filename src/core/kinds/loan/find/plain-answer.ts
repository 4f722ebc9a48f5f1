import type { Result } from "../../../result";
import { type LoanDeal, missingFigures, withoutPayment } from "../deal";
import { type PaymentRow, readTerms, solvable } from "../plan";
import { type Answer, pricedAnswer } from "./priced-answer";

/**
 * Prices a deal that is {@link isPlain}.
 *
 * @param rows where to put the lines of the repayment table; without it only the totals are made
 */
export function plainAnswer(deal: LoanDeal, rows?: PaymentRow[]): Result<Answer> {
  const missing = missingFigures(deal);
  if (missing) return { ok: false, failure: missing };
  const filled = withoutPayment(deal);
  const terms = readTerms(filled);
  return pricedAnswer(filled, terms.ok ? solvable(terms.value) : terms, rows);
}
