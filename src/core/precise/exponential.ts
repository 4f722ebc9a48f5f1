import { type Fixed, fixedFloat, floatOf, ONE, over, times } from "./fixed-point";

const HALVINGS = 32n;
const NEWTON_STEPS = 7;

/**
 * The exponential of a number, by halving it 2^32-fold, adding its power series and squaring back.
 *
 * @example exponential(0n) // ONE
 */
export function exponential(exponent: Fixed): Fixed {
  const small = exponent >> HALVINGS;
  // The sum without its leading 1, so that squaring back loses no places: (1 + x)² − 1 = x (2 + x).
  let sum = 0n;
  let term = small;
  for (let k = 2n; term !== 0n && term !== -1n; k++) {
    sum += term;
    term = times(term, small) / k;
  }
  for (let k = 0n; k < HALVINGS; k++) sum = times(sum, 2n * ONE + sum);
  return ONE + sum;
}

/**
 * The natural logarithm of a number above zero: the float's, sharpened by Newton's steps on the
 * exponential, each of which doubles the places that are right.
 *
 * @example logarithm(ONE) // 0n
 */
export function logarithm(value: Fixed): Fixed {
  let result = fixedFloat(Math.log(floatOf(value)));
  for (let step = 0; step < NEWTON_STEPS; step++) {
    result += over(value, exponential(result)) - ONE;
  }
  return result;
}
