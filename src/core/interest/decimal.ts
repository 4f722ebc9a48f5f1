import { digitsBetween } from "../digits";

/** A decimal number as typed, held exactly: `digits / scale`, where scale is a power of ten. */
export type Decimal = { digits: number; scale: number };

const MOST_WHOLE_DIGITS = 4;
const MOST_DECIMALS = 8;

/**
 * Reads a plain non-negative decimal, such as a rate.
 *
 * @param text digits with an optional point, at most four before it and eight after it
 * @returns `digits / scale`, or `undefined` for anything else
 * @example parseDecimal("6.49") // { digits: 649, scale: 100 }
 */
export function parseDecimal(text: string): Decimal | undefined {
  const point = text.indexOf(".");
  const end = point < 0 ? text.length : point;
  let last = text.length;
  if (point >= 0) while (text[last - 1] === "0") last -= 1;
  const decimals = Math.max(last - end - 1, 0);
  const whole = digitsBetween(text, 0, end);
  const part = digitsBetween(text, end + 1, last);
  if (end < 1 || end > MOST_WHOLE_DIGITS || decimals > MOST_DECIMALS || whole < 0 || part < 0)
    return undefined;
  const scale = 10 ** decimals;
  return { digits: whole * scale + part, scale };
}

/**
 * A figure as it would be typed: with as many decimals as it has, and no more than can be read.
 *
 * @example decimalText(5.4) // "5.4"
 */
export const decimalText = (value: number): string => value.toFixed(MOST_DECIMALS).replace(/\.?0+$/, "");

const NOTHING: Decimal = { digits: 0, scale: 1 };

/**
 * Reads a percent that was checked before; what is none counts as 0.
 *
 * @param text as typed
 * @example readPercent("1.5") // { digits: 15, scale: 10 }
 */
export function readPercent(text: string): Decimal {
  return parseDecimal(text) ?? NOTHING;
}
