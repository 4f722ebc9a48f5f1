import { type Deal, kindOf, type Quote, type QuoteOf, type SummaryOf } from "../kinds";
import type { MoneyAt } from "../kinds/kind";
import type { Result } from "../result";
import type { WorkingStep } from "../working";

/**
 * Answers a deal of any kind: finds its figure, then its table and what it all costs.
 *
 * @param deal money in minor units, rates as typed, dates as day numbers
 * @returns the quote, or a failure with the figure to blame and a plain sentence
 * @example evaluate(vanLease).value.payment // 73548
 */
export function evaluate<Of extends Deal>(deal: Of): Result<QuoteOf<Of>> {
  return kindOf(deal).evaluate(deal) as Result<QuoteOf<Of>>;
}

/** The same as {@link evaluate} without the table, for many deals. */
export function summarize<Of extends Deal>(deal: Of): Result<SummaryOf<Of>> {
  return kindOf(deal).summarize(deal) as Result<SummaryOf<Of>>;
}

/**
 * How a figure of a quote came about, as a tree of steps with the numbers filled in.
 *
 * @param quote an answered deal
 * @param figure one that its kind can explain
 * @example working(quote, "financeCharge").filled // "49,245.87 − 40,700.00"
 */
export const working = (quote: Quote, figure: string): WorkingStep =>
  kindOf(quote.filled).working(quote, figure);

/**
 * What is paid so far and still owed, from signing to the end. A lease ends with the vehicle handed back: its deposit
 * comes back, and its fee at the end is paid.
 *
 * @param quote an answered deal with its table
 * @returns a point at signing, then one for each line of the table after it, in order
 * @example moneyOverTime(quote).at(-1)?.owed // 0
 */
export const moneyOverTime = (quote: Quote): MoneyAt[] => kindOf(quote.filled).moneyOverTime(quote);
