import { type CostOfCredit, costOfLevel, type LoanQuote, type Result, success } from "@/core";

/** Several texts say it, of one answer. */
const known = new WeakMap<LoanQuote, Result<CostOfCredit>>();

/**
 * The yearly rates of an answer; undefined while what not every loan needs has not arrived.
 *
 * @param general the general equations, where they are there
 */
export function ratesOf(
  quote: LoanQuote,
  general?: (quote: LoanQuote) => Result<CostOfCredit>,
): Result<CostOfCredit> | undefined {
  const before = quote.keptCost ? success(quote.keptCost) : known.get(quote);
  if (before) return before;
  const ofLevel = costOfLevel(quote);
  const rates = ofLevel ? success(ofLevel) : general?.(quote);
  if (rates) known.set(quote, rates);
  return rates;
}
