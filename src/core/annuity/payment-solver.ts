import type { PeriodRate } from "../interest";
import { type Rounding, roundWhenSure } from "../money";
import { over } from "../precise";
import { FLOAT, PRECISE } from "./arithmetic";
import type { Run } from "./run";
import { type Worth, worthOf } from "./worth";

/** How a payment is rounded: the rule, and the step in minor units. */
export type PaymentRounding = { rule: Rounding; step: number };

// The worth of 1,200 runs is right to a relative 1e-12, of one run to far less.
const RELATIVE_ERROR = 4e-12;

/** Valued payments, ready to be solved for the level payment, or the part of the principal, of any amount. */
export type PaymentSolver = {
  worth: Worth<number>;
  /** What is solved for, unrounded, as a float. */
  unrounded: (amount: number, balloon: number) => number;
  /** What is solved for, rounded, in minor units. */
  rounded: (amount: number, balloon: number) => number;
};

/**
 * Makes the function from an amount to the level payment, or the part of the principal, that repays it, rounded as if
 * computed exactly: `(amount − worth of agreed payments − balloon × worth at the end) ÷ worth of payments of 1`.
 *
 * @param runs the payments
 * @param balloonRate a last period before the balloon where payments are in advance, or null
 * @param rounding rule and step
 * @example paymentSolver(twelveMonthsAtHalfAPercent, null, { rule: "nearest", step: 1 }).rounded(1_000_000, 0) // 86066
 */
export function paymentSolver(
  runs: readonly Run[],
  balloonRate: PeriodRate | null,
  { rule, step }: PaymentRounding,
): PaymentSolver {
  const worth = worthOf(runs, balloonRate, FLOAT);
  let preciseWorth: Worth<bigint> | undefined;
  const unrounded = (amount: number, balloon: number) =>
    (amount - worth.amounts - balloon * worth.atEnd) / worth.solved;
  const rounded = (amount: number, balloon: number) => {
    const error = (RELATIVE_ERROR * (amount + worth.amounts + balloon * worth.atEnd)) / worth.solved / step;
    const steps = roundWhenSure(unrounded(amount, balloon) / step, error, rule, () => {
      preciseWorth ??= worthOf(runs, balloonRate, PRECISE);
      const { solved, amounts, atEnd } = preciseWorth;
      const left = PRECISE.whole(amount) - amounts - BigInt(balloon) * atEnd;
      return over(left, solved) / BigInt(step);
    });
    return steps * step;
  };
  return { worth, unrounded, rounded };
}
