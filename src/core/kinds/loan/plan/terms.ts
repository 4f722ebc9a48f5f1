import type { PaymentRounding, PaymentSolver } from "../../../annuity";
import { type Decimal, parseDecimal } from "../../../interest";
import { HIGHEST_YEARLY_RATE, MOST_PAYMENTS, wholeText } from "../../../limits";
import { readCurrency } from "../../../money";
import { failure, type Result, success } from "../../../result";
import { calendarOf, type FirstSpan } from "./calendar";
import type { Draft } from "./draft";
import { draftLoan, solverOf } from "./draft-loan";
import type { EarlyFee } from "./early-fee";
import type { DatedExtra, EachExtra, Extra, ExtraEvent, Extras } from "./extras";
import type { LoanPlan } from "./plan";
import type { ByExtras, Loan } from "./repay";
import type { Shape, ShapeInputs } from "./shapes";

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
  /** Paid on top of payments. */
  each: readonly EachExtra[];
  /** Whether the plan lists its payments. */
  isListed: boolean;
  extras: readonly ExtraEvent[];
  /** How a loan is repaid with extras; null where it has none. */
  byExtras: ByExtras | null;
  /** What its own extras are charged with; null where it has none. */
  earlyFeesOf: EarlyFeesOf | null;
  /** Extras after the term, which are not used. */
  lateExtras: readonly DatedExtra[];
};

type EarlyFeesOf = (fees: readonly EarlyFee[], loan: Loan) => number;

const NO_EXTRAS: readonly EachExtra[] = [];

/** What plans can have: their shapes, and how their extras are put on dates. */
export type Parts = {
  shapes: readonly Shape<ShapeInputs>[];
  extras: (extra: Extra | undefined, draft: Draft) => Result<Extras>;
  byExtras: ByExtras | null;
  earlyFeesOf: EarlyFeesOf | null;
};

/** A plan with the currency of its amounts. */
export type Planned = { currency: string; plan: LoanPlan };

/**
 * Checks a plan that has no other parts than these, and prepares it. Every figure of it is given.
 *
 * @returns the terms, or a failure with the first figure that cannot be, and what would be accepted
 */
export function termsWith(
  { shapes, extras: datedExtras, byExtras, earlyFeesOf }: Parts,
  { currency, plan }: Planned,
): Result<Terms> {
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
  const draft = draftLoan(calendar.value.calendar, plan, shapes);
  if (!draft.ok) return draft;
  const extras = datedExtras(plan.extra, draft.value);
  if (!extras.ok) return extras;
  return success({
    decimals: decimals.value,
    yearlyRate: rate.value,
    payments: draft.value.payments,
    draft: draft.value,
    rounding: rounding.value,
    solver: solverOf(draft.value, rounding.value),
    firstSpan: calendar.value.firstSpan,
    each: plan.extra?.each?.amount ? [plan.extra.each] : NO_EXTRAS,
    isListed: plan.datedPayments !== undefined,
    extras: extras.value.events,
    byExtras: plan.extra?.each?.amount || extras.value.events.length > 0 ? byExtras : null,
    earlyFeesOf,
    lateExtras: extras.value.late,
  });
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
