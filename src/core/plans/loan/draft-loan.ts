import { type PaymentRounding, type PaymentSolver, paymentSolver } from "../../annuity";
import { roundFraction } from "../../money";
import { type Result, success } from "../../result";
import type { Calendar, Draft } from "./draft";
import { flatCharge } from "./flat-rate";
import { SHAPES, type ShapeInputs } from "./shapes";

/** Builds a plan up by every shape that it asks for. */
export function draftLoan(calendar: Calendar, plan: ShapeInputs): Result<Draft> {
  const empty: Draft = {
    calendar,
    payments: calendar.payments,
    runs: [],
    balloonRate: null,
    flat: null,
    notes: [],
  };
  let draft: Result<Draft> = success(empty);
  for (const shape of SHAPES) {
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
  const { calendar, payments } = draft;
  if (!draft.flat) return paymentSolver(draft.runs, draft.balloonRate, rounding);
  const perUnit = payments / (1 + flatCharge(10 ** 9, calendar) / 10 ** 9);
  return {
    worth: { solved: perUnit, amounts: 0, atEnd: 0 },
    unrounded: amount => (amount + flatCharge(amount, calendar)) / payments,
    rounded: amount =>
      roundFraction(
        {
          numerator: BigInt(amount + flatCharge(amount, calendar)),
          denominator: BigInt(payments) * BigInt(rounding.step),
        },
        rounding.rule,
      ) * rounding.step,
  };
}
