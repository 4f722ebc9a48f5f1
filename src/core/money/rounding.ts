/** How a payment is rounded to the minor unit. `nearest` rounds ties up. */
export type Rounding = "nearest" | "up" | "down";

/** A non-negative rational number, held exactly. */
export type Fraction = { numerator: bigint; denominator: bigint };

/**
 * Rounds a non-negative fraction to a whole number by a rule, exactly.
 *
 * @example roundFraction({ numerator: 5n, denominator: 2n }, "nearest") // 3
 */
export function roundFraction({ numerator, denominator }: Fraction, rounding: Rounding): number {
  const floor = numerator / denominator;
  const rest = numerator % denominator;
  const goesUp = rounding === "nearest" ? 2n * rest >= denominator : rounding === "up" ? rest > 0n : false;
  return Number(goesUp ? floor + 1n : floor);
}

// A quotient or product of doubles is off by a few units in the last place; 1e-12 is some thousand of them.
const RELATIVE_DOUBT = 1e-12;

/**
 * Rounds a number known approximately, and asks for the exact fraction only where the approximation
 * cannot decide: within a relative 1e-12 of a tie or of a whole number.
 *
 * @param approximate the value as a float, right to a relative 1e-13
 * @param exact computes the value exactly; called for close calls only
 * @example roundWhenSure(2.5, "nearest", () => ({ numerator: 5n, denominator: 2n })) // 3, decided exactly
 */
export function roundWhenSure(approximate: number, rounding: Rounding, exact: () => Fraction): number {
  const floor = Math.floor(approximate);
  const rest = approximate - floor;
  const doubt = (approximate + 1) * RELATIVE_DOUBT;
  if (rounding === "nearest") {
    if (Math.abs(rest - 0.5) <= doubt) return roundFraction(exact(), rounding);
    return rest > 0.5 ? floor + 1 : floor;
  }
  if (rest <= doubt || rest >= 1 - doubt) return roundFraction(exact(), rounding);
  return rounding === "up" ? floor + 1 : floor;
}
