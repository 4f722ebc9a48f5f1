import { type Rounding, roundFraction } from "../money";
import type { Decimal } from "./decimal";

/**
 * A percent of an amount, rounded to the minor unit.
 *
 * @param amount minor units, from 0
 * @param percent as typed
 * @param rule half up where left out
 * @example percentOf(4185050, { digits: 10, scale: 1 }) // 418505
 */
export function percentOf(amount: number, { digits, scale }: Decimal, rule: Rounding = "nearest"): number {
  const product = amount * digits;
  const denominator = 100 * scale;
  if (product > Number.MAX_SAFE_INTEGER) {
    const numerator = BigInt(amount) * BigInt(digits);
    return roundFraction({ numerator, denominator: BigInt(denominator) }, rule);
  }
  // Whole numbers all along, which floats hold exactly.
  const rest = product % denominator;
  const floor = (product - rest) / denominator;
  const goesUp = rule === "nearest" ? 2 * rest >= denominator : rule === "up" && rest > 0;
  return goesUp ? floor + 1 : floor;
}
