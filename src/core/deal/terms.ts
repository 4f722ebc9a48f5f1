import { type LevelTerms, levelPaymentFor, paymentPerUnit } from "../annuity";
import {
  addMonths,
  civilDate,
  type DayNumber,
  isoDate,
  monthsAfter,
  monthsAndDaysBetween,
} from "../calendar";
import { type Decimal, type PeriodRate, parseDecimal, periodRate } from "../interest";
import { readCurrency } from "../money";
import { failure, type Result, success } from "../result";
import type { Deal, LoanPlan } from "./deal";
import { missingFigures } from "./missing";

export const MOST_PAYMENTS = 1200;
export const HIGHEST_YEARLY_RATE = 1000;
export const PERIODS_PER_YEAR = 12;
const MOST_MONTHS_TO_FIRST = 120;
/** Odd days count as thirtieths of a month: 12 CFR 1026, Appendix J, (b)(5)(ii). */
const DAYS_IN_UNIT_PERIOD = 30;

/** A plan that was checked, with what every question about it needs. */
export type Terms = LevelTerms & {
  decimals: number;
  yearlyRate: Decimal;
  /** Rate of the first period, simple interest over its months and odd days. */
  firstRate: PeriodRate;
  /** Whole months and odd days from signing to the first payment. */
  firstSpan: { months: number; days: number };
  /** The rounded level payment for an amount, both in minor units. */
  paymentFor: (amount: number) => number;
  /** The unrounded payment for one minor unit, as a float: for guesses only. */
  perUnit: number;
  dateOf: (number: number) => DayNumber | null;
};

/**
 * Checks a deal's plan and prepares it.
 *
 * @returns the terms, or a failure with the first figure that is missing or cannot be, and what would be accepted
 */
export function readTerms(deal: Deal): Result<Terms> {
  const decimals = readCurrency(deal.currency);
  if (!decimals.ok) return decimals;
  const missing = missingFigures(deal);
  if (missing) return { ok: false, failure: missing };
  const rate = readRate(deal.plan.yearlyRate ?? "");
  if (!rate.ok) return rate;
  const payments = readPayments(deal.plan.payments ?? 0);
  if (!payments.ok) return payments;
  const firstSpan = readFirstSpan(deal.plan);
  if (!firstSpan.ok) return firstSpan;

  const { months, days } = firstSpan.value;
  const firstPeriod = { numerator: months * DAYS_IN_UNIT_PERIOD + days, denominator: DAYS_IN_UNIT_PERIOD };
  const levelTerms: LevelTerms = {
    rate: periodRate(rate.value, PERIODS_PER_YEAR),
    payments: payments.value,
    firstPeriod,
  };
  return success({
    ...levelTerms,
    decimals: decimals.value,
    yearlyRate: rate.value,
    firstRate: firstPeriodRate(rate.value, firstPeriod.numerator),
    firstSpan: firstSpan.value,
    paymentFor: levelPaymentFor(levelTerms, deal.plan.rounding),
    perUnit: paymentPerUnit(levelTerms),
    dateOf: paymentDates(deal.plan),
  });
}

/** A yearly rate for some thirtieths of a month: `days / 30` of one twelfth of it. */
function firstPeriodRate(yearlyRate: Decimal, thirtieths: number): PeriodRate {
  const perDay = periodRate(yearlyRate, PERIODS_PER_YEAR * DAYS_IN_UNIT_PERIOD);
  return { numerator: perDay.numerator * thirtieths, denominator: perDay.denominator };
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
    return failure("yearlyRate", `The yearly rate ${typed} % is too high; it can be 0 to 1,000 %.`);
  }
  return success(rate);
}

function readPayments(payments: number): Result<number> {
  if (!Number.isInteger(payments) || payments < 1 || payments > MOST_PAYMENTS) {
    return failure(
      "payments",
      `The number of payments is ${payments}; it must be a whole number from 1 to 1,200.`,
    );
  }
  return success(payments);
}

function readFirstSpan({ signed, firstPayment }: LoanPlan): Result<{ months: number; days: number }> {
  if (signed === null || firstPayment === null) return success({ months: 1, days: 0 });
  if (firstPayment <= signed) {
    return failure(
      "firstPayment",
      `The first payment, ${isoDate(firstPayment)}, must come after the contract date, ${isoDate(signed)}.`,
    );
  }
  if (firstPayment > addMonths(signed, MOST_MONTHS_TO_FIRST)) {
    return failure(
      "firstPayment",
      `The first payment, ${isoDate(firstPayment)}, is over 10 years after the contract date, ${isoDate(signed)}.`,
    );
  }
  return success(monthsAndDaysBetween(signed, firstPayment));
}

/** Payment dates step by months from the first payment, or from signing where the first payment follows from it. */
function paymentDates({ signed, firstPayment }: LoanPlan): Terms["dateOf"] {
  if (firstPayment !== null) {
    const first = civilDate(firstPayment);
    return number => monthsAfter(first, number - 1);
  }
  if (signed === null) return () => null;
  const start = civilDate(signed);
  return number => monthsAfter(start, number);
}

/** The first payment's date, which is one month after signing unless it is given. */
export function firstPaymentDate({ signed, firstPayment }: LoanPlan): DayNumber | null {
  return firstPayment ?? (signed === null ? null : addMonths(signed, 1));
}
