/**
 * A number held to 4,096 binary places, as a whole number of 2^-4096. It decides what a float cannot: on which
 * side of a tie a figure lies.
 */
export type Fixed = bigint;

const PLACES = 4096n;

/** The number one. */
export const ONE: Fixed = 1n << PLACES;

/** A fraction of whole numbers. Example: `fixedRatio(1n, 2n) * 2n === ONE`. */
export function fixedRatio(numerator: bigint, denominator: bigint): Fixed {
  return (numerator << PLACES) / denominator;
}

/** The product of two numbers. */
export function times(a: Fixed, b: Fixed): Fixed {
  return (a * b) >> PLACES;
}

/** The quotient of two numbers; the divisor is not zero. */
export function over(a: Fixed, b: Fixed): Fixed {
  return (a << PLACES) / b;
}

/** A number to a whole power of 0 or more, by repeated squaring. */
export function power(base: Fixed, exponent: number): Fixed {
  let result = ONE;
  let square = base;
  for (let rest = exponent; rest > 0; rest = Math.floor(rest / 2)) {
    if (rest % 2 === 1) result = times(result, square);
    square = times(square, square);
  }
  return result;
}

/** The number nearest to a float. */
export function fixedFloat(value: number): Fixed {
  const scale = 2 ** 52;
  const whole = Math.floor(value);
  return (BigInt(whole) << PLACES) + (BigInt(Math.round((value - whole) * scale)) << (PLACES - 52n));
}

/** A number as the nearest float. */
export function floatOf(value: Fixed): number {
  return Number(value >> (PLACES - 64n)) / 2 ** 64;
}
