import { type CostOfCredit, costOfLevel, type LoanQuote, type Result, success } from "@/core";
import { isRestLoaded, loadedRest } from "../option/loaded";

/** Several texts say it, of one answer. */
const costs = new WeakMap<LoanQuote, Result<CostOfCredit>>();

/** The yearly rates of an answer; undefined while what only some loans need is still being loaded. */
export function costOf(quote: LoanQuote): Result<CostOfCredit> | undefined {
  const known = quote.keptCost ? success(quote.keptCost) : costs.get(quote);
  if (known) return known;
  const ofLevel = costOfLevel(quote);
  const cost = ofLevel ? success(ofLevel) : isRestLoaded() ? loadedRest().costOfCredit(quote) : undefined;
  if (cost) costs.set(quote, cost);
  return cost;
}
