import { type DayNumber, periodStepper, periodsPerYear } from "../../../calendar";
import { type Decimal, type PeriodRate, periodRate, readPercent } from "../../../interest";
import type { Rounding } from "../../../money";
import type { LeasePlan } from "./lease";

/** A lease's plan, read: when what falls due, and what the payment is reckoned by. */
export type LeaseTerms = {
  /** Payments of the term, and how many of them fall at signing. */
  payments: number;
  atSigning: number;
  /** Payments that fall after signing, one period apart. */
  later: number;
  /** All payments at once: one row, rounded once. */
  isAtOnce: boolean;
  /** After how many periods the residual falls due. */
  residualAt: number;
  perYear: number;
  by: { factor: Decimal } | { rate: PeriodRate };
  rounding: { rule: Rounding; step: number };
  /** The date some periods after signing; null without a date of signing. */
  dateOf: (periods: number) => DayNumber | null;
};

/**
 * Reads a plan of which the number of payments and the money factor or the rate are there.
 *
 * @example leaseTerms(vanLease.plan).residualAt // 36
 */
export function leaseTerms(plan: LeasePlan): LeaseTerms {
  const payments = plan.payments ?? 0;
  const { inAdvance, residualDue, frequency, signed } = plan;
  const later = payments - inAdvance;
  const perYear = periodsPerYear(frequency);
  const dates = signed === null ? null : periodStepper(frequency, signed);
  return {
    payments,
    atSigning: inAdvance,
    later,
    isAtOnce: later === 0,
    residualAt: { lastPayment: later, onePeriodAfter: later + 1, end: payments }[residualDue],
    perYear,
    by:
      plan.reckoning === "moneyFactor"
        ? { factor: readPercent(plan.moneyFactor ?? "0") }
        : {
            rate: periodRate(
              readPercent(plan.yearlyRate ?? "0"),
              { numerator: 1, denominator: perYear },
              "payments",
            ),
          },
    rounding: { rule: plan.rounding, step: plan.roundingStep ?? 1 },
    dateOf: dates ?? (() => null),
  };
}
