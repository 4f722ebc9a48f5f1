import { groupedAmount, readCurrency } from "../../money";
import { failure, type Result, success } from "../../result";
import type { Deal, FoundFigure } from "../deal";
import { priceFor } from "../structure";

/** What the amount financed is made of, and can therefore be found from it. */
const STRUCTURE: readonly FoundFigure[] = ["price", "down", "downPercent", "allowance"];

/**
 * The deal with the price that its known amount financed gives: that amount stands in for the price where a figure of
 * the plan is found.
 */
export function priceFromAmount(deal: Deal): Result<Deal> {
  const { from, structure, find } = deal;
  if (from?.figure !== "amountFinanced" || structure.price !== null || STRUCTURE.includes(find)) {
    return success(deal);
  }
  const decimals = readCurrency(deal.currency);
  if (!decimals.ok) return decimals;
  const price = priceFor(structure, from.value, decimals.value);
  if (price === null) {
    const amount = groupedAmount(from.value, decimals.value);
    return failure(
      "amountFinanced",
      `No price leaves ${amount} to finance with this trade-in and cash down; type another amount.`,
    );
  }
  const { from: _from, ...given } = deal;
  return success({ ...given, structure: { ...structure, price } });
}
