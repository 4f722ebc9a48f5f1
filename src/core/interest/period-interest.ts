import { roundFixed } from "../precise";
import type { PeriodRate } from "./period-rate";

// A rate is right to a few units in the last place of a double, and so is its product with a balance.
const RELATIVE_ERROR = 4e-15;
const LEAST_ERROR = 1e-6;

/**
 * One period's interest on a balance, rounded half up to the minor unit as if computed exactly.
 *
 * The product is taken in floating point, whose error is far below the distance to a tie except in close
 * calls; those few are decided in 4,096 places.
 *
 * @param balance minor units, not negative
 * @param rate rate of the period
 * @returns interest in minor units
 * @example
 * // half a cent goes up
 * periodInterest(100, rationalRate({ numerator: 1, denominator: 200 })) // 1
 */
export function periodInterest(balance: number, rate: PeriodRate): number {
  const approximate = balance * rate.value;
  const rounded = Math.floor(approximate + 0.5);
  // From 0 just past a tie to 1 just before the next; one test that nearly always holds, because it is cheap.
  const pastTie = approximate + 0.5 - rounded;
  const error = LEAST_ERROR + approximate * RELATIVE_ERROR;
  return pastTie > error && pastTie < 1 - error ? rounded : preciseInterest(balance, rate);
}

function preciseInterest(balance: number, rate: PeriodRate): number {
  return Number(roundFixed(BigInt(balance) * rate.precise(), "nearest"));
}
