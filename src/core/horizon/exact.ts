/** A number held exactly: whole numbers, the denominator above 0. It can be below 0. */
export type Exact = { numerator: bigint; denominator: bigint };

/**
 * Reads a decimal as typed, checked before; a minus in front is read.
 *
 * @example exactOf("0.12") // { numerator: 12n, denominator: 100n }
 */
export function exactOf(text: string): Exact {
  const isBelow = text.startsWith("-");
  const [whole = "0", decimals = ""] = (isBelow ? text.slice(1) : text).split(".");
  const digits = BigInt(whole + decimals);
  return { numerator: isBelow ? -digits : digits, denominator: 10n ** BigInt(decimals.length) };
}

export const wholly = (value: number): Exact => ({ numerator: BigInt(value), denominator: 1n });

export const product = (one: Exact, other: Exact): Exact => ({
  numerator: one.numerator * other.numerator,
  denominator: one.denominator * other.denominator,
});

export const difference = (one: Exact, other: Exact): Exact => ({
  numerator: one.numerator * other.denominator - other.numerator * one.denominator,
  denominator: one.denominator * other.denominator,
});

/** The number, or 0 where it is below. */
export const atLeastZero = (value: Exact): Exact => (value.numerator < 0n ? wholly(0) : value);

/**
 * The nearest whole number, halves up.
 *
 * @example halfUp({ numerator: -5n, denominator: 2n }) // -2
 */
export function halfUp({ numerator, denominator }: Exact): number {
  const doubled = 2n * numerator + denominator;
  const divisor = 2n * denominator;
  const quotient = doubled / divisor;
  return Number(doubled < 0n && quotient * divisor !== doubled ? quotient - 1n : quotient);
}

export const floatOf = ({ numerator, denominator }: Exact): number => Number(numerator) / Number(denominator);
