import { type CivilDate, civilDate, type DayNumber, daysInMonth } from "./civil-date";
import { addMonths, monthsAfter, monthsAndDaysBetween } from "./months";
import { type Ratio, ratio } from "./ratio";

/** How often payments are made. */
export type Frequency =
  | "weekly"
  | "everyTwoWeeks"
  | "twiceAMonth"
  | "monthly"
  | "everyTwoMonths"
  | "quarterly"
  | "halfYearly"
  | "yearly";

/** What a frequency's period is made of, in its own unit; half months are 15 days of a 30-day month. */
type Period = { perYear: number } & ({ days: number } | { months: number } | { halfMonths: true });

const PERIODS: Record<Frequency, Period> = {
  weekly: { perYear: 52, days: 7 },
  everyTwoWeeks: { perYear: 26, days: 14 },
  twiceAMonth: { perYear: 24, halfMonths: true },
  monthly: { perYear: 12, months: 1 },
  everyTwoMonths: { perYear: 6, months: 2 },
  quarterly: { perYear: 4, months: 3 },
  halfYearly: { perYear: 2, months: 6 },
  yearly: { perYear: 1, months: 12 },
};

export const FREQUENCIES = Object.keys(PERIODS) as Frequency[];

/** How many payments a year a frequency has. Example: `periodsPerYear("everyTwoWeeks")` is 26. */
export function periodsPerYear(frequency: Frequency): number {
  return PERIODS[frequency].perYear;
}

/** The two days of the month on which payments twice a month fall, the earlier first. */
export type TwoDays = readonly [number, number];

/** The usual two days where only one date is known: that day and the one 15 days away. */
export function twoDaysFrom(date: DayNumber): TwoDays {
  const { day } = civilDate(date);
  return day <= 15 ? [day, day + 15] : [day - 15, day];
}

/**
 * The date some whole periods after another, or before it.
 *
 * Months keep the original day, as far as the month has it. Payments twice a month step between two chosen
 * days; a start on neither of them counts as standing at the one before.
 *
 * @param frequency how often
 * @param start the date to step from
 * @param periods whole periods, may be negative
 * @param twoDays for twice a month: the two days; from the start where left out
 * @example isoDate(stepPeriods("quarterly", parseIsoDate("2026-11-30"), 1)) // "2027-02-28"
 */
export function stepPeriods(
  frequency: Frequency,
  start: DayNumber,
  periods: number,
  twoDays: TwoDays = twoDaysFrom(start),
): DayNumber {
  const period = PERIODS[frequency];
  if ("days" in period) return start + period.days * periods;
  if ("months" in period) return addMonths(start, period.months * periods);
  return stepHalfMonths(civilDate(start), periods, twoDays);
}

function stepHalfMonths({ year, month, day }: CivilDate, periods: number, [first, second]: TwoDays): number {
  // The 30th and 31st are the same place in a shorter month: its last day.
  const lastDay = daysInMonth(year, month);
  const place = day >= Math.min(second, lastDay) ? 1 : day >= first ? 0 : -1;
  const halfMonths = place + periods;
  const months = Math.floor(halfMonths / 2);
  const target = halfMonths - months * 2 === 0 ? first : second;
  return monthsAfter({ year, month, day: target }, months);
}

/**
 * Makes the function that gives the date of the payment some periods after a first one: faster than
 * {@link stepPeriods} for whole tables.
 */
export function periodStepper(
  frequency: Frequency,
  start: DayNumber,
  twoDays: TwoDays = twoDaysFrom(start),
): (periods: number) => DayNumber {
  const period = PERIODS[frequency];
  if ("days" in period) return periods => start + period.days * periods;
  const from = civilDate(start);
  if ("months" in period) return periods => monthsAfter(from, period.months * periods);
  return periods => stepHalfMonths(from, periods, twoDays);
}

/** The time between two dates as whole months and odd days, or as days alone. */
export type Span = { months: number; days: number; periods: Ratio };

/**
 * The time between two dates in periods of a frequency, exactly.
 *
 * 12 CFR 1026, Appendix J, (b)(5): for weeks the days over 7 or 14; for months the whole months back from
 * the later date, each of 30 days, and the odd days, over 30 times the months of the period (15 for half
 * a month); for years the whole months over 12, or the odd days over 365 where they are no whole months.
 *
 * @param frequency the period
 * @param from earlier day number
 * @param to later day number
 * @example periodsBetween("monthly", parseIsoDate("2026-11-24"), parseIsoDate("2027-01-08")).periods // { numerator: 22, denominator: 15 }
 */
export function periodsBetween(frequency: Frequency, from: DayNumber, to: DayNumber): Span {
  const period = PERIODS[frequency];
  if ("days" in period) return { months: 0, days: to - from, periods: ratio(to - from, period.days) };
  const { months, days } = monthsAndDaysBetween(from, to);
  if ("halfMonths" in period) return { months, days, periods: ratio(months * 30 + days, 15) };
  if (frequency === "yearly" && days > 0) {
    const years = Math.floor(months / 12);
    const oddDays = addMonths(to, -12 * years) - from;
    return { months, days, periods: ratio(years * 365 + oddDays, 365) };
  }
  return { months, days, periods: ratio(months * 30 + days, 30 * period.months) };
}

/** How many whole periods a date lies after a first payment date, or `undefined` where it is before it. */
export function wholePeriodsUntil(
  dateOf: (periods: number) => DayNumber,
  date: DayNumber,
  most: number,
): number | undefined {
  if (dateOf(0) > date) return undefined;
  let low = 0;
  let high = most + 1;
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (dateOf(middle) <= date) low = middle;
    else high = middle;
  }
  return low;
}
