import { type PaymentRounding, type PaymentSolver, paymentSolver } from "../../../annuity";
import { roundFraction } from "../../../money";
import { type Result, success } from "../../../result";
import type { Calendar, Draft } from "./draft";
import type { Shape, ShapeInputs } from "./shapes";

/** Builds a plan up by every one of some shapes that it asks for. */
export function draftLoan(
  calendar: Calendar,
  plan: ShapeInputs,
  shapes: readonly Shape<ShapeInputs>[],
): Result<Draft> {
  const empty: Draft = {
    calendar,
    payments: calendar.payments,
    runs: [],
    balloonRate: null,
    flat: null,
    notes: [],
  };
  let draft: Result<Draft> = success(empty);
  for (const shape of shapes) {
    if (!draft.ok) return draft;
    draft = shape(draft.value, plan);
  }
  return draft;
}

/**
 * Makes the function from an amount to what a plan is solved for, in minor units.
 *
 * @returns unrounded and rounded; a flat-rate plan's is the amount and its charge over the payments
 */
export function solverOf(draft: Draft, rounding: PaymentRounding): PaymentSolver {
  const { payments, flat } = draft;
  if (!flat) return paymentSolver(draft.runs, draft.balloonRate, rounding);
  const perUnit = payments / (1 + flat.charge(10 ** 9) / 10 ** 9);
  return {
    worth: { solved: perUnit, amounts: 0, atEnd: 0 },
    unrounded: amount => (amount + flat.charge(amount)) / payments,
    rounded: amount =>
      roundFraction(
        {
          numerator: BigInt(amount + flat.charge(amount)),
          denominator: BigInt(payments) * BigInt(rounding.step),
        },
        rounding.rule,
      ) * rounding.step,
  };
}
