import { LARGEST_AMOUNT } from "../limits";

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
  const match = /^(\d{1,12})(?:\.(\d*))?$/.exec(text);
  if (!match) return undefined;
  const fraction = (match[2] ?? "").replace(/0+$/, "");
  if (fraction.length > decimals) return undefined;
  const minor = Number((match[1] ?? "") + fraction.padEnd(decimals, "0"));
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
  const digits = String(Math.abs(minor)).padStart(decimals + 1, "0");
  const whole = digits.slice(0, digits.length - decimals);
  const sign = minor < 0 ? "-" : "";
  return decimals === 0 ? sign + whole : `${sign}${whole}.${digits.slice(-decimals)}`;
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
