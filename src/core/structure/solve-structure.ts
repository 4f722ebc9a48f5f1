import { LARGEST_AMOUNT } from "../limits";
import { lastWhole } from "../solve";
import { NO_LOAN, type Reckoned, reckon } from "./reckon";
import { settle } from "./settle";
import type { Structure } from "./structure";

/**
 * The price that a known loan amount, or amount financed, comes from: the largest at which it is no more. Through taxes
 * and percents not every cent can be reached.
 *
 * @param structure every line but the price
 * @param asked minor units
 * @param decimals the currency's decimals
 * @param of what of the lines is known
 * @returns minor units, or null where even a price of 0 comes to more, or every price to less
 * @example priceFor({ price: null, tradeIns: [], down: { percent: "20" } }, 800_000, 2, ({ loanAmount }) => loanAmount) // 1000000
 */
export function priceFor(
  structure: Structure,
  asked: number,
  decimals: number,
  of: (reckoned: Reckoned) => number,
): number | null {
  const most = LARGEST_AMOUNT * 10 ** decimals;
  const difference = (price: number) => of(settle({ ...structure, price })) - asked;
  const price = lastWhole(difference, 0, most, asked);
  return price >= 0 && price < most ? price : null;
}

/**
 * The cash down that leaves a known amount to finance.
 *
 * @param structure every line but the cash down
 * @param loanAmount minor units
 * @returns minor units, below zero where even no cash down leaves less
 * @example cashFor({ price: 10000, tradeIns: [], down: null }, 8000) // 2000
 */
export function cashFor(structure: Structure, loanAmount: number): number {
  const assumed = { ...NO_LOAN, loanAmount };
  return reckon({ ...structure, down: null }, assumed).loanAmount - loanAmount;
}
