import { type Frequency, periodsPerYear } from "../calendar";
import { type Compounding, compoundingsPerYear } from "./compounding";

/**
 * The nominal yearly rate of a rate of one period: the inverse of {@link periodRate}.
 *
 * @param periodic rate of one period as a fraction, above −1
 * @param frequency the period
 * @param compounding how often the nominal rate adds interest
 * @returns a fraction a year
 * @example nominalRate(0.005, "monthly", "payments") // 0.06
 */
export function nominalRate(periodic: number, frequency: Frequency, compounding: Compounding): number {
  const perYear = periodsPerYear(frequency);
  if (compounding === "payments") return periodic * perYear;
  const growth = perYear * Math.log1p(periodic);
  if (compounding === "continuous") return growth;
  const compoundings = compoundingsPerYear(compounding);
  return compoundings * Math.expm1(growth / compoundings);
}
