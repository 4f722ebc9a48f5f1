import { type Fixed, ONE } from "./fixed-point";

/** Which way a figure between two whole numbers goes; `nearest` takes ties up. */
export type RoundingRule = "nearest" | "up" | "down";

// Computations in 4,096 places are right to more than this, so what is nearer to a tie than this is one. It has to be
// this fine: at 400 % the payment over 1,200 years can be above a round figure by no more than 2^-2800 of it.
const TIE = ONE >> 3900n;

/**
 * Rounds a number to a whole one by a rule. A number within 2^-3900 of a tie, or of a whole number, is that.
 *
 * @example roundFixed(ONE / 2n, "nearest") // 1n
 */
export function roundFixed(value: Fixed, rule: RoundingRule): bigint {
  if (rule === "nearest") return floorOf(value + ONE / 2n + TIE);
  const floor = floorOf(value + TIE);
  const rest = value - floor * ONE;
  return rule === "up" && rest > TIE ? floor + 1n : floor;
}

/**
 * Rounds a number to a whole one, a tie to the even one of the two.
 *
 * @example roundHalfEven(ONE / 2n) // 0n
 */
export function roundHalfEven(value: Fixed): bigint {
  const floor = floorOf(value + TIE);
  const beyondHalf = value - floor * ONE - ONE / 2n;
  const isTie = beyondHalf <= TIE && beyondHalf >= -TIE;
  return (isTie ? floor % 2n !== 0n : beyondHalf > 0n) ? floor + 1n : floor;
}

function floorOf(value: Fixed): bigint {
  const quotient = value / ONE;
  return value < 0n && quotient * ONE !== value ? quotient - 1n : quotient;
}
