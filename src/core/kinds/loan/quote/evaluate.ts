import type { Deal } from "../deal";
import { answer } from "../find";
import { type Result, success } from "../../../result";
import type { Quote, Summary } from "./quote";
import { quoteBy, summaryOf } from "./quote-by";

/**
 * Answers a deal: finds its figure, then the repayment table and what it all costs.
 *
 * @param deal money in minor units, rate in percent a year, dates as day numbers
 * @returns the quote, or a failure with the figure to blame and a plain sentence
 * @example
 * const quote = evaluate({
 *   currency: "USD",
 *   structure: { price: 4185000, tradeIns: [{ allowance: 920000, owed: 1105000 }], down: { amount: 300000 } },
 *   plan: { kind: "loan", yearlyRate: "6.49", payments: 72, frequency: "monthly", rounding: "nearest",
 *           signed: null, firstPayment: null, payment: null },
 *   find: "payment",
 * });
 * quote.ok && quote.value.payment // 68397
 */
export function evaluate(deal: Deal): Result<Quote> {
  return quoteBy(answer, deal);
}

/** The same as {@link evaluate} without the repayment table, for many deals. */
export function summarize(deal: Deal): Result<Summary> {
  const found = answer(deal);
  return found.ok ? success(summaryOf(deal, found.value)) : found;
}
