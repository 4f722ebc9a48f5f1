import { roundFraction } from "../money";
import type { PeriodRate } from "./period-rate";

/**
 * Makes the function that charges one period's interest on a balance, rounded half up to the minor unit as
 * if computed exactly.
 *
 * The product is taken in floating point, whose error is far below the distance to a tie except in close
 * calls; those few are decided on the exact product.
 *
 * @param rate rate of one period
 * @returns balance in minor units (not negative) to interest in minor units
 * @example interestCharger({ numerator: 1, denominator: 200 })(100) // 1: half a cent goes up
 */
export function interestCharger(rate: PeriodRate): (balance: number) => number {
  const factor = rate.numerator / rate.denominator;
  return balance => {
    const approximate = balance * factor;
    const floor = Math.floor(approximate);
    const aboveTie = approximate - floor - 0.5;
    // Two roundings of a double put the product off by less than 4e-16 of itself.
    if (aboveTie < -1e-6 - approximate * 1e-15) return floor;
    if (aboveTie > 1e-6 + approximate * 1e-15) return floor + 1;
    return exactInterest(balance, rate);
  };
}

function exactInterest(balance: number, rate: PeriodRate): number {
  const numerator = BigInt(balance) * BigInt(rate.numerator);
  return roundFraction({ numerator, denominator: BigInt(rate.denominator) }, "nearest");
}
