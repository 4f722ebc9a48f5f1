import { sumOfAmounts } from "../amount-lines";
import type { LoanQuote } from "../kinds/loan/quote";

/** What a sale on credit comes to, in minor units. */
export type SaleOnCredit = {
  /** The price, less rebates unless they count in the down payment. */
  cashPrice: number;
  /** Cash and what trade-ins are worth beyond what is owed on them. */
  downPayment: number;
  /** What else is financed and is no finance charge: taxes, fees, extras, what is owed on trade-ins beyond their worth. */
  otherFinanced: number;
  financeCharge: number;
  /** The cash price, the others and the finance charge. */
  totalSalePrice: number;
};

/** How a house counts where the rule leaves it to the creditor. */
export type SaleConventions = {
  /** Whether cash counts first against what is owed on trade-ins beyond their worth. */
  cashFirstAgainstOwed?: boolean | undefined;
  /** Whether rebates count in the down payment, and do not lower the cash price. */
  rebatesInDown?: boolean | undefined;
};

/**
 * The total sale price of a vehicle that is bought on credit, and what it is made of (12 CFR 1026.18(j), 1026.2(a)(18)).
 *
 * The down payment is cash, a deposit and the equity of trade-ins, which is never below zero: what is owed beyond an allowance
 * is financed beside the price.
 *
 * @param quote an answered loan on a vehicle
 * @param conventions what the creditor may settle; cash wholly in the down payment and rebates off the price where left out
 * @returns minor units
 * @example
 * // 41,850.00 with 9,200.00 allowed, 11,050.00 owed and 6,000.00 cash
 * saleOnCredit(quote).otherFinanced // 185000
 */
export function saleOnCredit(quote: LoanQuote, conventions: SaleConventions = {}): SaleOnCredit {
  const { cashFirstAgainstOwed = false, rebatesInDown = false } = conventions;
  const { filled, price, financeCharge, lines } = quote;
  const { structure } = filled;
  const sum = (...figures: readonly string[]) =>
    lines.reduce((all, { figure, amount }) => all + (figures.includes(figure) ? amount : 0), 0);
  const equity = sum("allowance") - sum("owed");
  const deficit = Math.max(-equity, 0);
  const cash = sum("down") + sumOfAmounts(structure, ({ ownCost }) => ownCost > 0);
  const against = cashFirstAgainstOwed ? Math.min(cash, deficit) : 0;
  const rebates = sum("rebate");
  const cashPrice = price - (rebatesInDown ? 0 : rebates);
  const otherFinanced = sum("tax", "fee", "extra") - financedCharges(quote) + deficit - against;
  return {
    cashPrice,
    downPayment: cash - against + Math.max(equity, 0) + (rebatesInDown ? rebates : 0),
    otherFinanced,
    financeCharge,
    totalSalePrice: cashPrice + otherFinanced + financeCharge,
  };
}

/** What of the loan amount is a finance charge, in minor units. */
function financedCharges({ filled: { structure }, reckoned }: LoanQuote): number {
  let sum = 0;
  for (const list of ["fees", "extras"] as const)
    for (const [index, { paid, isFinanceCharge }] of (structure[list] ?? []).entries())
      if (paid === "financed" && isFinanceCharge) sum += reckoned[list][index] ?? 0;
  return sum;
}
