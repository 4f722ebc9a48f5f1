import { parseDecimal, percentOf } from "../interest";
import type { Failure } from "../result";
import type { CashDown } from "./structure";

/**
 * Cash down in minor units. A percent is of the price, rounded half up; nothing where none is given.
 *
 * @param down as given
 * @param price minor units
 * @example cashDown({ percent: "10" }, 4185050) // 418505
 */
export function cashDown(down: CashDown | null, price: number): number {
  if (down === null) return 0;
  if ("amount" in down) return down.amount;
  const percent = parseDecimal(down.percent);
  return percent ? percentOf(price, percent) : 0;
}

/**
 * Why a percent down cannot be; undefined where it can.
 *
 * @example cashDownProblem({ percent: "101" })?.figure // "down"
 */
export function cashDownProblem(down: CashDown | null): Failure | undefined {
  if (down === null || "amount" in down) return undefined;
  const percent = parseDecimal(down.percent);
  if (percent && percent.digits <= 100 * percent.scale) return undefined;
  return {
    figure: "down",
    sentence: `Cash down of ${down.percent} % is not possible; it can be 0 to 100 % of the price.`,
  };
}
