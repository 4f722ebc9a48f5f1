/** A rational number of periods, years or the like, held exactly: `numerator / denominator`, safe integers. */
export type Ratio = { numerator: number; denominator: number };

/** The largest whole number that divides both. Example: `greatestCommonDivisor(12, 18)` is 6. */
function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b);
}

/** A ratio in lowest terms. Example: `ratio(6, 4)` is `{ numerator: 3, denominator: 2 }`. */
export function ratio(numerator: number, denominator: number): Ratio {
  const divisor = greatestCommonDivisor(Math.abs(numerator), denominator) || 1;
  return { numerator: numerator / divisor, denominator: denominator / divisor };
}
