import { type Deal, standsInForPrice } from "../deal";
import { groupedAmount, readCurrency } from "../money";
import { failure, type Result, success } from "../result";
import { priceFor } from "../structure";
import { MEASURES } from "./measure";

/**
 * The deal with the price that its known loan amount, or amount financed, gives: that amount stands in for the price
 * where a figure of the plan is found.
 */
export function priceFromAmount(deal: Deal): Result<Deal> {
  const { from, structure } = deal;
  if (!from || !standsInForPrice(deal)) return success(deal);
  const decimals = readCurrency(deal.currency);
  if (!decimals.ok) return decimals;
  const charge = from.figure === "amountFinanced" ? (deal.plan.prepaidCharge ?? 0) : 0;
  const price = priceFor(structure, from.value + charge, decimals.value);
  if (price === null) {
    const amount = groupedAmount(from.value, decimals.value);
    return failure(
      MEASURES[from.figure].figure,
      `No price leaves ${amount} to finance with this trade-in and cash down; type another amount.`,
    );
  }
  const { from: _from, ...given } = deal;
  return success({ ...given, structure: { ...structure, price } });
}
