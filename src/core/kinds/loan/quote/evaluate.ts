import { type Result, success } from "../../../result";
import type { LoanDeal } from "../deal";
import { answer } from "../find";
import type { LoanQuote, LoanSummary } from "./quote";
import { quoteBy, summaryOf } from "./quote-by";

/**
 * Answers a loan: finds its figure, then the repayment table and what it all costs.
 *
 * @param deal money in minor units, rate in percent a year, dates as day numbers
 * @returns the quote, or a failure with the figure to blame and a plain sentence
 * @example
 * const quote = evaluateLoan({
 *   currency: "USD",
 *   structure: { price: 4185000, tradeIns: [{ allowance: 920000, owed: 1105000 }], down: { amount: 300000 } },
 *   plan: { kind: "loan", yearlyRate: "6.49", payments: 72, frequency: "monthly", rounding: "nearest",
 *           signed: null, firstPayment: null, payment: null },
 *   find: "payment",
 * });
 * quote.ok && quote.value.payment // 68397
 */
export function evaluateLoan(deal: LoanDeal): Result<LoanQuote> {
  return quoteBy(answer, deal);
}

/** The same as {@link evaluateLoan} without the repayment table, for many deals. */
export function summarizeLoan(deal: LoanDeal): Result<LoanSummary> {
  const found = answer(deal);
  return found.ok ? success(summaryOf(deal, found.value)) : found;
}
