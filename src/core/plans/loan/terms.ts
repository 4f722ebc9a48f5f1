import type { PaymentRounding, PaymentSolver } from "../../annuity";
import { type Decimal, parseDecimal } from "../../interest";
import { HIGHEST_YEARLY_RATE, MOST_PAYMENTS, wholeText } from "../../limits";
import { readCurrency } from "../../money";
import { failure, type Result, success } from "../../result";
import { calendarOf, type FirstSpan } from "./calendar";
import type { Draft } from "./draft";
import { draftLoan, solverOf } from "./draft-loan";
import { type DatedExtra, type ExtraEvent, extraEvents } from "./extras";
import type { LoanPlan } from "./plan";

/** A plan that was checked, with what every question about it needs. */
export type Terms = {
  decimals: number;
  yearlyRate: Decimal;
  /** How many payment dates are planned. */
  payments: number;
  draft: Draft;
  rounding: PaymentRounding;
  /** Solves for the payment of an amount. */
  solver: PaymentSolver;
  /** An odd first period; null where it is a regular one. */
  firstSpan: FirstSpan;
  extraEach: number;
  /** Whether the plan lists its payments. */
  isListed: boolean;
  extras: readonly ExtraEvent[];
  /** Extras after the term, which are not used. */
  lateExtras: readonly DatedExtra[];
};

/**
 * Checks a plan and prepares it. Every figure of it is given.
 *
 * @returns the terms, or a failure with the first figure that cannot be, and what would be accepted
 */
export function readTerms({ currency, plan }: { currency: string; plan: LoanPlan }): Result<Terms> {
  const decimals = readCurrency(currency);
  if (!decimals.ok) return decimals;
  const rate = readRate(plan.yearlyRate ?? "");
  if (!rate.ok) return rate;
  const payments = readPayments(plan);
  if (!payments.ok) return payments;
  const rounding = readRounding(plan, decimals.value);
  if (!rounding.ok) return rounding;
  const calendar = calendarOf(plan, rate.value, payments.value, decimals.value);
  if (!calendar.ok) return calendar;
  const draft = draftLoan(calendar.value.calendar, plan);
  if (!draft.ok) return draft;
  const extras = extraEvents(plan.extra, draft.value);
  if (!extras.ok) return extras;
  return success({
    decimals: decimals.value,
    yearlyRate: rate.value,
    payments: draft.value.payments,
    draft: draft.value,
    rounding: rounding.value,
    solver: solverOf(draft.value, rounding.value),
    firstSpan: calendar.value.firstSpan,
    extraEach: plan.extra?.each ?? 0,
    isListed: plan.datedPayments !== undefined,
    extras: extras.value.events,
    lateExtras: extras.value.late,
  });
}

/** Terms with a payment left to find; a failure where every one is given. */
export function solvable(terms: Terms): Result<Terms> {
  if (terms.solver.worth.solved > 0) return success(terms);
  const figure = terms.isListed ? "datedPayments" : "steps";
  return failure(figure, "Every payment is given, so that none is left to find; leave the one to find out.");
}

function readRate(typed: string): Result<Decimal> {
  const rate = parseDecimal(typed);
  if (!rate) {
    return failure(
      "yearlyRate",
      `The yearly rate ${typed} is not a percent; type one such as 6.49, with no sign.`,
    );
  }
  if (rate.digits / rate.scale > HIGHEST_YEARLY_RATE) {
    return failure(
      "yearlyRate",
      `The yearly rate ${typed} % is too high; it can be 0 to ${wholeText(HIGHEST_YEARLY_RATE)} %.`,
    );
  }
  return success(rate);
}

function readPayments({ payments, datedPayments }: LoanPlan): Result<number> {
  const count = datedPayments ? datedPayments.length : (payments ?? 0);
  if (!Number.isInteger(count) || count < 1 || count > MOST_PAYMENTS) {
    return failure(
      datedPayments ? "datedPayments" : "payments",
      `The number of payments is ${count}; it must be a whole number from 1 to ${wholeText(MOST_PAYMENTS)}.`,
    );
  }
  return success(datedPayments ? 0 : count);
}

function readRounding({ rounding, roundingStep = 1 }: LoanPlan, decimals: number): Result<PaymentRounding> {
  const largest = 1000 * 10 ** decimals;
  if (Number.isInteger(roundingStep) && roundingStep >= 1 && roundingStep <= largest) {
    return success({ rule: rounding, step: roundingStep });
  }
  return failure(
    "roundingStep",
    `Payments cannot be rounded to ${roundingStep / 10 ** decimals}; the step must be from the smallest coin to 1,000.`,
  );
}
