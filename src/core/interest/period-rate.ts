import type { Decimal } from "./decimal";

/** The rate of one period as an exact fraction in lowest terms: `numerator / denominator`, both safe integers. */
export type PeriodRate = { numerator: number; denominator: number };

/**
 * The rate of one period where compounding and payments go together: the yearly rate divided by the
 * periods in a year.
 *
 * @param yearlyPercent nominal yearly rate in percent, as typed
 * @param periodsPerYear 12 for monthly
 * @example periodRate({ digits: 6, scale: 1 }, 12) // { numerator: 1, denominator: 200 }
 */
export function periodRate({ digits, scale }: Decimal, periodsPerYear: number): PeriodRate {
  const denominator = 100 * scale * periodsPerYear;
  const divisor = greatestCommonDivisor(digits, denominator);
  return { numerator: digits / divisor, denominator: denominator / divisor };
}

function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b);
}
