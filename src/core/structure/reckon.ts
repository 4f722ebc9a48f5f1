import { cashDown } from "./cash-down";
import { type Assumed, chargeAmounts, totalOf } from "./charges";
import { loanAmountOf } from "./lines";
import type { Structure } from "./structure";
import { type TaxAmount, taxAmounts } from "./taxes";

/** What the lines of a structure come to, in minor units. */
export type Reckoned = {
  price: number;
  /** Of each fee and extra, in their order; one that falls with each payment, each time. */
  fees: readonly number[];
  extras: readonly number[];
  taxes: readonly TaxAmount[];
  taxTotal: number;
  /** The price with tax, fees and extras; those that are reckoned from the loan, or fall with payments, are not in it. */
  total: number;
  down: number;
  /** The sum of the tally; below zero where the price is more than covered. */
  loanAmount: number;
};

/** A loan of nothing, for structures that nothing is reckoned from. */
export const NO_LOAN: Assumed = { loanAmount: 0, totalOfPayments: 0 };

/**
 * What the lines of a structure come to where those that are reckoned from the loan are reckoned from an assumed one.
 *
 * @param structure a missing price, cash down or allowance counts as 0
 * @param assumed the loan
 */
export function reckon(structure: Structure, assumed: Assumed): Reckoned {
  const price = structure.price ?? 0;
  const fees = chargeAmounts(structure.fees, price, assumed);
  const extras = chargeAmounts(structure.extras, price, assumed);
  const taxes = taxAmounts(structure, { price, fees, extras });
  let taxTotal = 0;
  for (const { amount } of taxes) taxTotal += amount;
  const total = totalOf(structure, { price, fees, extras, taxTotal });
  const down = cashDown(structure.down, price, total);
  const reckoned: Reckoned = { price, fees, extras, taxes, taxTotal, total, down, loanAmount: 0 };
  reckoned.loanAmount = loanAmountOf(structure, reckoned);
  return reckoned;
}
