import { LARGEST_AMOUNT } from "../limits";
import { lastWhole } from "../solve";
import type { Structure } from "./structure";
import { loanAmountOf } from "./tally";

/**
 * The price that a known loan amount comes from: the largest at which no more is financed.
 *
 * @param structure every line but the price
 * @param loanAmount minor units
 * @param decimals the currency's decimals
 * @returns minor units, or null where even a price of 0 finances more, or the cash down takes every price whole
 * @example priceFor({ price: null, tradeIn: { allowance: 0, owed: 0 }, down: { percent: "20" } }, 800_000, 2) // 1000000
 */
export function priceFor(structure: Structure, loanAmount: number, decimals: number): number | null {
  const most = LARGEST_AMOUNT * 10 ** decimals;
  const financedAt = (price: number) => loanAmountOf({ ...structure, price });
  const price = lastWhole(each => financedAt(each) - loanAmount, 0, most, loanAmount);
  return price >= 0 && price < most && financedAt(price) === loanAmount ? price : null;
}

/**
 * The cash down that leaves a known amount to finance.
 *
 * @param structure every line but the cash down
 * @param loanAmount minor units
 * @returns minor units, below zero where even no cash down leaves less
 * @example cashFor({ price: 10000, tradeIn: { allowance: 0, owed: 0 }, down: null }, 8000) // 2000
 */
export function cashFor(structure: Structure, loanAmount: number): number {
  return loanAmountOf({ ...structure, down: null }) - loanAmount;
}
