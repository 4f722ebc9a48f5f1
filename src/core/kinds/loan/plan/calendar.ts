import {
  addMonths,
  type DayNumber,
  isoDate,
  periodStepper,
  periodsBetween,
  type Ratio,
  type Span,
  stepPeriods,
  type TwoDays,
} from "../../../calendar";
import type { Decimal } from "../../../interest";
import { failure, type Result, success } from "../../../result";
import type { Calendar } from "./draft";
import type { LoanPlan } from "./plan";

const MOST_MONTHS_TO_FIRST = 120;
/** The day before February's last, on which the second of two later days falls. */
const LATEST_FIRST_DAY = 27;
const ONE_PERIOD: Ratio = { numerator: 1, denominator: 1 };

/** The first period as its dates give it; null where it is a regular one. */
export type FirstSpan = Span | null;

/**
 * When a plan's payments fall and how time counts between them.
 *
 * @returns the calendar and the odd first period, or a failure naming the figure that cannot be
 */
export function calendarOf(
  plan: LoanPlan,
  yearlyRate: Decimal,
  payments: number,
  decimals: number,
): Result<{ calendar: Calendar; firstSpan: FirstSpan }> {
  const { frequency, timing = "arrears" } = plan;
  const days = readTwoDays(plan);
  if (!days.ok) return days;
  const twoDays = days.value;
  const firstSpan = readFirstSpan(plan, twoDays);
  if (!firstSpan.ok) return firstSpan;
  const dayCount = plan.dayCount ?? "equal";
  if (dayCount !== "equal" && plan.signed === null && plan.firstPayment === null) {
    return failure("signed", `Counting days by ${dayCount} needs the contract date; type it.`);
  }
  const regular = timing === "advance" ? { numerator: 0, denominator: 1 } : ONE_PERIOD;
  const calendar: Calendar = {
    frequency,
    timing,
    compounding: plan.compounding ?? "payments",
    dayCount,
    yearlyRate,
    payments,
    firstPeriods: firstSpan.value?.periods ?? regular,
    start: startOf(plan, twoDays),
    dateOf: paymentDates({ ...plan, ...(twoDays && { twiceMonthlyDays: twoDays }) }),
    twoDays,
    decimals,
  };
  return success({ calendar, firstSpan: firstSpan.value });
}

function readTwoDays({ frequency, twiceMonthlyDays }: LoanPlan): Result<TwoDays | undefined> {
  if (!twiceMonthlyDays) return success(undefined);
  const [first, second] = twiceMonthlyDays;
  const areDays = [first, second].every(day => Number.isInteger(day) && day >= 1 && day <= 31);
  const figure = "twiceMonthlyDays";
  if (frequency !== "twiceAMonth") {
    return failure(figure, "Two days of the month go with payments twice a month only.");
  }
  if (!areDays || first >= second) {
    return failure(
      figure,
      `The days ${first} and ${second} are not two days of a month in order, such as 1 and 16.`,
    );
  }
  if (first > LATEST_FIRST_DAY) {
    return failure(
      figure,
      `The days ${first} and ${second} fall together in February; the first can be 1 to ${LATEST_FIRST_DAY}.`,
    );
  }
  return success(twiceMonthlyDays);
}

function startOf({ frequency, timing, signed, firstPayment }: LoanPlan, twoDays?: TwoDays): DayNumber | null {
  if (signed !== null || firstPayment === null) return signed;
  return timing === "advance" ? firstPayment : stepPeriods(frequency, firstPayment, -1, twoDays);
}

function readFirstSpan(plan: LoanPlan, twoDays?: TwoDays): Result<FirstSpan> {
  const { frequency, timing, signed, firstPayment: first } = plan;
  // A first payment that follows from the contract date is one regular period after it.
  const isOddStart = frequency === "twiceAMonth" && timing !== "advance";
  if (signed === null || (first === null && !isOddStart)) return success(null);
  const firstDate = first ?? stepPeriods(frequency, signed, 1, twoDays);
  const problem = firstPaymentProblem(plan, signed, firstDate);
  if (problem) return failure("firstPayment", problem);
  if (timing === "advance") return success(null);
  const onDays = stepPeriods(frequency, signed, 0, twoDays) === signed;
  if (onDays && stepPeriods(frequency, signed, 1, twoDays) === firstDate) return success(null);
  const span = periodsBetween(frequency, signed, firstDate);
  return success(span.periods.numerator === span.periods.denominator ? null : span);
}

function firstPaymentProblem({ timing }: LoanPlan, signed: DayNumber, first: DayNumber): string | undefined {
  if (timing === "advance") {
    if (first === signed) return undefined;
    return `Payments in advance begin on the contract date, ${isoDate(signed)}; leave the first payment date ${isoDate(first)} out.`;
  }
  if (first <= signed) {
    return `The first payment, ${isoDate(first)}, must come after the contract date, ${isoDate(signed)}.`;
  }
  if (first > addMonths(signed, MOST_MONTHS_TO_FIRST)) {
    return `The first payment, ${isoDate(first)}, is over 10 years after the contract date, ${isoDate(signed)}.`;
  }
  return undefined;
}

/** What of a plan says when its payments fall. */
export type DatedPlan = Pick<
  LoanPlan,
  "frequency" | "timing" | "signed" | "firstPayment" | "twiceMonthlyDays"
>;

/**
 * Makes the function from a payment's number to its date. They step from the first payment, or from signing where the
 * first payment follows from it.
 *
 * @param plan its two days of the month, where it has them, are in order
 * @returns day numbers; null without a date to step from
 * @example isoDate(paymentDates({ frequency: "monthly", signed: day("2026-11-29"), firstPayment: null })(24)) // "2028-11-29"
 */
export function paymentDates(plan: DatedPlan): Calendar["dateOf"] {
  const { frequency, timing, signed, firstPayment, twiceMonthlyDays: twoDays } = plan;
  if (firstPayment !== null && !(timing === "advance" && signed !== null)) {
    const dateAfter = periodStepper(frequency, firstPayment, twoDays);
    return number => dateAfter(number - 1);
  }
  if (signed === null) return () => null;
  const dateAfter = periodStepper(frequency, signed, twoDays);
  return timing === "advance" ? number => dateAfter(number - 1) : dateAfter;
}

/** The first payment's date, which is one period after signing, or signing itself in advance, unless it is given. */
export function firstPaymentDate({
  frequency,
  timing,
  signed,
  firstPayment,
  twiceMonthlyDays,
}: DatedPlan): DayNumber | null {
  if (firstPayment !== null || signed === null) return firstPayment;
  return timing === "advance" ? signed : stepPeriods(frequency, signed, 1, twiceMonthlyDays);
}
