import { roundFraction } from "../money";
import type { PaymentRounding } from "./payment-solver";
import type { Raise } from "./run";

/**
 * A level payment after percent changes, each on the rounded payment before it and rounded by the same rule.
 *
 * @param payment minor units
 * @param raises percent changes in order
 * @param rounding rule and step in minor units
 * @example steppedPayment(50_000, [{ digits: 5, scale: 1 }], { rule: "nearest", step: 1 }) // 52500
 */
export function steppedPayment(
  payment: number,
  raises: readonly Raise[],
  { rule, step }: PaymentRounding,
): number {
  return raises.reduce((before, { digits, scale }) => {
    const numerator = BigInt(before) * BigInt(100 * scale + digits);
    return roundFraction({ numerator, denominator: BigInt(100 * scale) * BigInt(step) }, rule) * step;
  }, payment);
}
