import { decimalText } from "./decimal";

/** A yearly percent is so many times a monthly factor: 12 months, of half the sum of cost and residual, in percent. */
export const PERCENT_OF_FACTOR = 2400;

/**
 * The money factor that goes with a yearly rate, as it would be typed.
 *
 * @param yearlyRate percent a year
 * @example factorOf(5.4) // "0.00225"
 */
export function factorOf(yearlyRate: number): string {
  return decimalText(yearlyRate / PERCENT_OF_FACTOR);
}
