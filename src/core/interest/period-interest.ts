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
 * @example periodInterest(100, rationalRate({ numerator: 1, denominator: 200 })) // 1: half a cent goes up
 */
export function periodInterest(balance: number, rate: PeriodRate): number {
  const approximate = balance * rate.value;
  const floor = Math.floor(approximate);
  const aboveTie = approximate - floor - 0.5;
  const error = LEAST_ERROR + approximate * RELATIVE_ERROR;
  if (aboveTie < -error) return floor;
  if (aboveTie > error) return floor + 1;
  return Number(roundFixed(BigInt(balance) * rate.precise(), "nearest"));
}
