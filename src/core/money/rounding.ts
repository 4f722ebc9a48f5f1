import { type Fixed, type RoundingRule, roundFixed } from "../precise";

/** How a payment is rounded. `nearest` rounds ties up. */
export type Rounding = RoundingRule;

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

/**
 * Rounds a number known approximately, and asks for it to 4,096 places only where the approximation cannot
 * decide: so near to a tie, or to a whole number, that its error could carry it across.
 *
 * @param approximate the value as a float
 * @param error the most that it can be off by
 * @param precise computes the value to 4,096 places; called for close calls only
 * @example roundWhenSure(2.5, 1e-12, "nearest", () => 5n * ONE / 2n) // 3
 */
export function roundWhenSure(
  approximate: number,
  error: number,
  rounding: Rounding,
  precise: () => Fixed,
): number {
  const floor = Math.floor(approximate);
  const rest = approximate - floor;
  if (rounding === "nearest") {
    if (Math.abs(rest - 0.5) <= error) return Number(roundFixed(precise(), rounding));
    return rest > 0.5 ? floor + 1 : floor;
  }
  if (rest <= error || rest >= 1 - error) return Number(roundFixed(precise(), rounding));
  return rounding === "up" ? floor + 1 : floor;
}
