import { digitAt, digitsBetween } from "../digits";
import { LARGEST_AMOUNT } from "../limits";

const MOST_DIGITS = 12;

/**
 * Reads a plain decimal amount into minor units, exactly.
 *
 * @param text digits with an optional point, no sign, no grouping: "41850", "41850.5"
 * @param decimals the currency's decimals
 * @returns integer minor units, or `undefined` where the text is not such an amount, has more decimals
 *   than the currency, or is over {@link LARGEST_AMOUNT}
 * @example parseAmount("41850.5", 2) // 4185050
 */
export function parseAmount(text: string, decimals: number): number | undefined {
  const point = text.indexOf(".");
  const end = point < 0 ? text.length : point;
  let minor = digitsBetween(text, 0, end);
  if (minor < 0 || end < 1 || end > MOST_DIGITS) return undefined;
  let places = 0;
  for (let place = end + 1; place < text.length; place++) {
    const digit = digitAt(text, place);
    // Zeros may follow beyond the currency's decimals, nothing else.
    if (digit < 0 || (places === decimals && digit > 0)) return undefined;
    if (places === decimals) continue;
    minor = minor * 10 + digit;
    places += 1;
  }
  minor *= 10 ** (decimals - places);
  return minor <= LARGEST_AMOUNT * 10 ** decimals ? minor : undefined;
}

/**
 * Writes minor units as a plain decimal string, for files and programs.
 *
 * @param minor integer minor units, may be negative
 * @param decimals the currency's decimals
 * @example formatAmount(4185050, 2) // "41850.50"
 */
export function formatAmount(minor: number, decimals: number): string {
  if (decimals === 0) return String(minor);
  // Digits are cut, not divided: a program may write hundreds of thousands of amounts a second.
  const digits = minor < 0 ? String(-minor) : String(minor);
  const places = digits.length - decimals;
  const plain =
    places > 0 ? `${digits.slice(0, places)}.${digits.slice(places)}` : `0.${digits.padStart(decimals, "0")}`;
  return minor < 0 ? `-${plain}` : plain;
}

/**
 * Writes minor units for people: thousands grouped by commas, a true minus sign.
 *
 * @example groupedAmount(-4185050, 2) // "−41,850.50"
 */
export function groupedAmount(minor: number, decimals: number): string {
  const [whole = "", fraction] = formatAmount(Math.abs(minor), decimals).split(".");
  const grouped = whole.replace(/\B(?=(\d{3})+$)/g, ",");
  return (minor < 0 ? "−" : "") + (fraction === undefined ? grouped : `${grouped}.${fraction}`);
}
