import { parseDecimal, percentOf } from "../interest";
import { LARGEST_AMOUNT } from "../money";
import { lastWhole } from "../solve";
import type { CashDown, Deal, TradeIn } from "./deal";

/** One line of the tally from the price to the amount financed, in minor units. */
export type StructureLine = {
  figure: "price" | "allowance" | "owed" | "down";
  sign: 1 | -1;
  amount: number;
  /** The subtotal after this line. */
  running: number;
};

/**
 * Cash down in minor units. A percent is of the price, rounded half up.
 *
 * @example cashDown({ percent: "10" }, 4185050) // 418505
 */
export function cashDown(down: CashDown, price: number): number {
  if ("amount" in down) return down.amount;
  const percent = parseDecimal(down.percent);
  return percent ? percentOf(price, percent) : 0;
}

/**
 * The tally from the price to the amount financed. What is owed on the trade-in is added, because the new
 * loan pays it off; what the dealer allows for the trade-in is taken off.
 *
 * @param price minor units
 * @param tradeIn minor units
 * @param down cash down in minor units
 * @returns one line for each figure; the last line's subtotal is the amount financed, which may be negative
 * @example structureLines(4185000, { allowance: 920000, owed: 1105000 }, 300000).at(-1)?.running // 4070000
 */
export function structureLines(price: number, tradeIn: TradeIn, down: number): StructureLine[] {
  let running = 0;
  const line = (figure: StructureLine["figure"], sign: 1 | -1, amount: number): StructureLine => {
    running += sign * amount;
    return { figure, sign, amount, running };
  };
  return [
    line("price", 1, price),
    line("allowance", -1, tradeIn.allowance),
    line("owed", 1, tradeIn.owed),
    line("down", -1, down),
  ];
}

/**
 * The price that a known amount financed comes from: the largest at which no more is financed.
 *
 * @param structure trade-in and cash down, with no price
 * @param amountFinanced minor units
 * @param decimals the currency's decimals
 * @returns minor units, or null where even a price of 0 finances more, or the cash down takes every price whole
 * @example priceFor({ price: null, tradeIn: { allowance: 0, owed: 0 }, down: { percent: "20" } }, 800_000, 2) // 1_000_000
 */
export function priceFor(
  { tradeIn, down }: Deal["structure"],
  amountFinanced: number,
  decimals: number,
): number | null {
  const most = LARGEST_AMOUNT * 10 ** decimals;
  const financed = (price: number) =>
    structureLines(price, tradeIn, cashDown(down ?? { amount: 0 }, price)).at(-1)?.running ?? 0;
  const price = lastWhole(each => financed(each) - amountFinanced, 0, most, amountFinanced);
  return price >= 0 && price < most && financed(price) === amountFinanced ? price : null;
}
