import type { Result } from "../../../result";
import { type LoanDeal, missingFigures, withoutPayment } from "../deal";
import { hasLevelPlan, type PaymentRow, readLevelTerms } from "../plan";
import { isPlain } from "./is-plain";
import { type Answer, pricedAnswer } from "./priced-answer";

/** Whether a deal asks for the payment of a level loan. */
export function isLevel(deal: LoanDeal): boolean {
  return isPlain(deal) && hasLevelPlan(deal.plan);
}

/**
 * Prices a deal that is {@link isLevel}.
 *
 * @param rows where to put the lines of the repayment table; without it only the totals are made
 */
export function levelAnswer(deal: LoanDeal, rows?: PaymentRow[]): Result<Answer> {
  const missing = missingFigures(deal);
  if (missing) return { ok: false, failure: missing };
  const filled = withoutPayment(deal);
  return pricedAnswer(filled, readLevelTerms(filled), rows);
}
