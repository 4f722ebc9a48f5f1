import { groupedAmount, readCurrency } from "../../../money";
import { failure, type Result, success } from "../../../result";
import { needsPlan, prepaidCharges, priceFor } from "../../../structure";
import { type LoanDeal, standsInForPrice } from "../deal";
import { MEASURES } from "./measure";

/**
 * The deal with the price that its known loan amount, or amount financed, gives: that amount stands in for the price
 * where a figure of the plan is found.
 */
export function priceFromAmount(deal: LoanDeal): Result<LoanDeal> {
  const { from, structure } = deal;
  if (!from || !standsInForPrice(deal)) return success(deal);
  const decimals = readCurrency(deal.currency);
  if (!decimals.ok) return decimals;
  if (needsPlan(structure)) {
    const { name, figure } = MEASURES[from.figure];
    return failure(
      figure,
      `The price does not follow from the ${name} where something is reckoned from the payments; give the price.`,
    );
  }
  const charge = deal.plan.prepaidCharge ?? 0;
  const price = priceFor(structure, from.value, decimals.value, reckoned =>
    from.figure === "loanAmount"
      ? reckoned.loanAmount
      : reckoned.loanAmount - charge - prepaidCharges(structure, reckoned),
  );
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
