/** A decimal number as typed, held exactly: `digits / scale`, where scale is a power of ten. */
export type Decimal = { digits: number; scale: number };

const MOST_DECIMALS = 8;

/**
 * Reads a plain non-negative decimal, such as a rate.
 *
 * @param text digits with an optional point, at most four before it and eight after it
 * @returns `digits / scale`, or `undefined` for anything else
 * @example parseDecimal("6.49") // { digits: 649, scale: 100 }
 */
export function parseDecimal(text: string): Decimal | undefined {
  const match = /^(\d{1,4})(?:\.(\d*))?$/.exec(text);
  if (!match) return undefined;
  const decimals = (match[2] ?? "").replace(/0+$/, "");
  if (decimals.length > MOST_DECIMALS) return undefined;
  return { digits: Number((match[1] ?? "") + decimals), scale: 10 ** decimals.length };
}
