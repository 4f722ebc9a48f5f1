import { type Decimal, parseDecimal } from "../interest";

/** A percent held exactly: `100 × numerator ÷ denominator`; both whole and below 2^53, the denominator above 0. */
export type Quotient = { numerator: number; denominator: number };

const HUNDRED = 100n;

/** Below 0, 0 or above 0, as a percent is below, at or above another one. */
export function compared({ numerator, denominator }: Quotient, { digits, scale }: Decimal): number {
  const [left, right] = [100 * numerator * scale, digits * denominator];
  // Floats that are whole and so small are exact.
  if (left <= Number.MAX_SAFE_INTEGER && right <= Number.MAX_SAFE_INTEGER) return Math.sign(left - right);
  const difference = HUNDRED * BigInt(numerator) * BigInt(scale) - BigInt(digits) * BigInt(denominator);
  return difference > 0n ? 1 : difference < 0n ? -1 : 0;
}

const MOST_PLACES = 12;

/**
 * A percent with as many decimals, at least one, as tell it apart from its limit.
 *
 * @param percent what it comes to
 * @param limit as typed
 * @returns rounded half up, with a point
 * @example percentText({ numerator: 11501, denominator: 10000 }, "115") // "115.01"
 */
export function percentText(percent: Quotient, limit: string): string {
  const asked = parseDecimal(limit) ?? { digits: 0, scale: 1 };
  const side = compared(percent, asked);
  for (let places = 1; places < MOST_PLACES; places++) {
    const scale = 10 ** places;
    const digits = roundedDigits(percent, scale);
    const shown = compared({ numerator: digits, denominator: 100 * scale }, asked);
    if (shown === side) return withPoint(digits, places);
  }
  return withPoint(roundedDigits(percent, 10 ** MOST_PLACES), MOST_PLACES);
}

function roundedDigits({ numerator, denominator }: Quotient, scale: number): number {
  const of = BigInt(denominator);
  return Number((2n * HUNDRED * BigInt(numerator) * BigInt(scale) + of) / (2n * of));
}

function withPoint(digits: number, places: number): string {
  const text = String(digits).padStart(places + 1, "0");
  return `${text.slice(0, -places)}.${text.slice(-places)}`;
}
