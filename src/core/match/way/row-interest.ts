import { type PeriodRate, periodInterest } from "../../interest";
import { roundFixed, roundHalfEven } from "../../precise";
import type { RowRounding } from "./departure";

// A rate is right to a few units in the last place of a double, and so is its product with a balance.
const RELATIVE_ERROR = 4e-15;
const LEAST_ERROR = 1e-6;

/**
 * One period's interest on a balance by a rule; a rounded one as if computed exactly.
 *
 * @param balance minor units, whole where interest is rounded
 * @param rate rate of the period
 * @param rule how it is rounded
 * @returns minor units
 * @example
 * // a tie goes to the even one
 * rowInterest(500, rationalRate({ numerator: 1, denominator: 200 }), "halfEven") // 2
 */
export function rowInterest(balance: number, rate: PeriodRate, rule: RowRounding): number {
  if (rule === "halfUp") return periodInterest(balance, rate);
  const approximate = balance * rate.value;
  if (rule === "none") return approximate;
  const error = LEAST_ERROR + approximate * RELATIVE_ERROR;
  const floor = Math.floor(approximate);
  const rest = approximate - floor;
  const precise = () => BigInt(balance) * rate.precise();
  if (rule === "down")
    return rest > error && rest < 1 - error ? floor : Number(roundFixed(precise(), "down"));
  if (Math.abs(rest - 0.5) <= error) return Number(roundHalfEven(precise()));
  return rest > 0.5 ? floor + 1 : floor;
}
