import { type CostOfCredit, costOfLevel, type LoanQuote, type Result, success } from "@/core";
import type { LoanKind } from "../../option";

/** Several texts say it, of one answer. */
const costs = new WeakMap<LoanQuote, Result<CostOfCredit>>();

/** The yearly rates of an answer; undefined while what not every loan needs has not arrived. */
export function costOf(quote: LoanQuote, { rest }: LoanKind): Result<CostOfCredit> | undefined {
  const known = quote.keptCost ? success(quote.keptCost) : costs.get(quote);
  if (known) return known;
  const ofLevel = costOfLevel(quote);
  const cost = ofLevel ? success(ofLevel) : rest?.costOf?.(quote);
  if (cost) costs.set(quote, cost);
  return cost;
}
