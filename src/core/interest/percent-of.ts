import { roundFraction } from "../money";
import type { Decimal } from "./decimal";

/**
 * A percent of an amount, rounded half up to the minor unit.
 *
 * @param amount minor units
 * @param percent as typed
 * @example percentOf(4185050, { digits: 10, scale: 1 }) // 418505
 */
export function percentOf(amount: number, { digits, scale }: Decimal): number {
  const numerator = BigInt(amount) * BigInt(digits);
  return roundFraction({ numerator, denominator: 100n * BigInt(scale) }, "nearest");
}
