import { addMonths, type DayNumber, monthsAndDaysBetween, wholeMonthsAfter } from "../calendar";
import { halfMonthPlaces } from "./half-months";
import type { Flow } from "./rate-of-flows";
import { monthsSince } from "./time-since";
import type { DatedAmount } from "./transaction";

/** A standard interval of time: days, weeks in days, a half month, or months. */
export type UnitPeriod =
  | { unit: "days"; days: number; perYear: number }
  | { unit: "halfMonth"; perYear: 24 }
  | { unit: "months"; months: number; perYear: number };

const DAYS_A_YEAR = 365;
const HALF_MONTH: UnitPeriod = { unit: "halfMonth", perYear: 24 };

const monthsUnit = (months: number): UnitPeriod => ({ unit: "months", months, perYear: 12 / months });

/** Weeks and their multiples count 52 to a year; other days 365. */
function daysUnit(days: number): UnitPeriod {
  if (days % 7 === 0 && days <= 364) return { unit: "days", days, perYear: 364 / days };
  return { unit: "days", days: 1, perYear: DAYS_A_YEAR };
}

/** How long a unit period is on average, for comparing lengths. */
function lengthOf(period: UnitPeriod): number {
  return period.unit === "days" ? period.days : DAYS_A_YEAR / period.perYear;
}

/**
 * The unit period of a transaction: 12 CFR 1026, Appendix J, (b)(3) and (b)(4).
 *
 * The common period, up to a year, that occurs most often between advances or between payments, or from the first
 * advance to the first payment, the smaller of two that occur equally often; without a common period the average of all
 * periods, rounded to the nearest standard interval. One advance with one payment: the term, up to a year.
 *
 * @param advances in the order of their dates
 * @param payments in the order of their dates
 * @example unitPeriodOf(monthly(1, "2027-01-10", 500_000), monthly(24, "2027-02-10", 23_000)) // { unit: "months", months: 1, perYear: 12 }
 */
export function unitPeriodOf(advances: readonly DatedAmount[], payments: readonly DatedAmount[]): UnitPeriod {
  const [advance, ...otherAdvances] = advances;
  const [payment, ...otherPayments] = payments;
  if (advance && payment && otherAdvances.length + otherPayments.length === 0) {
    return wholeTerm(advance.date, payment.date);
  }
  const dates = (amounts: readonly DatedAmount[]) => [...new Set(amounts.map(({ date }) => date))];
  const start = Math.min(advance?.date ?? 0, payment?.date ?? 0);
  const counts = new Map<string, { period: UnitPeriod; count: number }>();
  for (const series of [dates(advances), dates(payments)]) countPeriods(start, series, counts);
  const common = [...counts.values()].filter(({ count }) => count > 1);
  if (common.length === 0) return averagePeriod(dates(advances), dates(payments));
  const [best] = common.sort((a, b) => b.count - a.count || lengthOf(a.period) - lengthOf(b.period));
  return best?.period ?? monthsUnit(1);
}

/**
 * Counts each period between neighbours, and the one from the start to the first: as months where it is some, as half a
 * month, or else as days.
 */
function countPeriods(
  start: DayNumber,
  dates: readonly DayNumber[],
  counts: Map<string, { period: UnitPeriod; count: number }>,
): void {
  const count = (name: string, period: UnitPeriod) => {
    const known = counts.get(name);
    if (known) known.count += 1;
    else counts.set(name, { period, count: 1 });
  };
  const [first = 0] = dates;
  const fromStart = first > start ? [start, ...dates] : dates;
  const halves = halfMonthPlaces(fromStart) ?? halfMonthPlaces(dates);
  const countOne = (days: number, wholeMonths: number, isHalf: boolean) => {
    const months = Math.min(wholeMonths, 12);
    if (months > 0) count(`${months} months`, monthsUnit(months));
    else if (isHalf) count("half month", HALF_MONTH);
    else if (days <= 364) count(`${days} days`, daysUnit(days));
  };
  if (first > start) countOne(first - start, monthsFrom(start, first), halves?.get(first) === 1);
  for (let index = 1; index < dates.length; index++) {
    const [from = 0, to = 0] = [dates[index - 1], dates[index]];
    const isHalf = halves ? isOneStep(halves, from, to) : isHalfMonth(dates, index);
    countOne(to - from, wholeMonths(first, from, to), isHalf);
  }
}

/** How many months lie between two dates of a series that steps by months from its first; 0 for none. */
function wholeMonths(first: DayNumber, from: DayNumber, to: DayNumber): number {
  const fromFirst = wholeMonthsAfter(first, from);
  const toFirst = wholeMonthsAfter(first, to);
  if (fromFirst !== undefined && toFirst !== undefined) return toFirst - fromFirst;
  return wholeMonthsAfter(from, to) ?? 0;
}

/** Whether two dates are neighbours among half months. */
function isOneStep(places: ReadonlyMap<DayNumber, number>, from: DayNumber, to: DayNumber): boolean {
  return (places.get(to) ?? 0) - (places.get(from) ?? 0) === 1;
}

/** Whole months measured back from the later date; 0 where there are odd days. */
function monthsFrom(from: DayNumber, to: DayNumber): number {
  const { months, days } = monthsAndDaysBetween(from, to);
  return days === 0 ? months : 0;
}

/** Whether a period and one of its neighbours make a month together. */
function isHalfMonth(dates: readonly DayNumber[], index: number): boolean {
  const days = (dates[index] ?? 0) - (dates[index - 1] ?? 0);
  // Fourteen days are two weeks, although February can make half a month of them.
  if (days < 13 || days > 17 || days === 14) return false;
  const month = (from: DayNumber | undefined, to: DayNumber | undefined) =>
    from !== undefined && to !== undefined && wholeMonthsAfter(from, to) === 1;
  return month(dates[index - 2], dates[index]) || month(dates[index - 1], dates[index + 1]);
}

/** The term of one advance with one payment: (b)(4)(ii), (b)(5)(vi) and (vii). */
function wholeTerm(from: DayNumber, to: DayNumber): UnitPeriod {
  const { months, days } = monthsAndDaysBetween(from, to);
  if (months >= 12) return monthsUnit(12);
  if (days === 0) return monthsUnit(months);
  return { unit: "days", days: to - from, perYear: DAYS_A_YEAR / (to - from) };
}

/**
 * The average of all periods, rounded to the nearest standard interval, the shorter of two as near: months where every
 * period is some months, since all months are equal; else days.
 */
function averagePeriod(advances: readonly DayNumber[], payments: readonly DayNumber[]): UnitPeriod {
  const start = Math.min(advances[0] ?? 0, payments[0] ?? 0);
  const lengths: number[] = [];
  const months: number[] = [];
  for (const series of [advances, payments]) {
    // The time from the start to the first advance or payment after it is a period too.
    const dates = series[0] === start ? series : [start, ...series];
    for (let index = 1; index < dates.length; index++) {
      const [from = 0, to = 0] = [dates[index - 1], dates[index]];
      const whole = wholeMonths(dates[0] ?? 0, from, to) || monthsFrom(from, to);
      lengths.push(to - from);
      if (whole > 0) months.push(whole);
    }
  }
  if (months.length === lengths.length) {
    const mean = months.reduce((sum, each) => sum + each, 0) / months.length;
    return monthsUnit(Math.min(Math.max(Math.ceil(mean - 0.5), 1), 12));
  }
  const average = lengths.reduce((sum, days) => sum + days, 0) / lengths.length;
  const standard = [
    daysUnit(1),
    ...Array.from({ length: 52 }, (_, index) => daysUnit(7 * (index + 1))),
    HALF_MONTH,
    ...Array.from({ length: 12 }, (_, index) => monthsUnit(index + 1)),
  ].sort((a, b) => lengthOf(a) - lengthOf(b));
  return standard.reduce((best, period) =>
    Math.abs(lengthOf(period) - average) < Math.abs(lengthOf(best) - average) ? period : best,
  );
}

/**
 * Makes the function from a date to its time since the start in unit periods: 12 CFR 1026, Appendix J,
 * (b)(5).
 *
 * @param period the unit period
 * @param start day number that the time counts from
 * @param series the dates of advances, or of payments, in order
 */
export function unitPeriodsFrom(
  period: UnitPeriod,
  start: DayNumber,
  series: readonly DayNumber[],
): (date: DayNumber) => Omit<Flow, "amount"> {
  if (period.unit === "days") {
    return date => ({
      periods: Math.floor((date - start) / period.days),
      part: ((date - start) % period.days) / period.days,
    });
  }
  const [first = start] = series;
  const since = monthsSince(start, first);
  if (period.unit === "halfMonth") return halfMonthsFrom(start, series, since);
  return date => {
    const { months, days } = since(date);
    if (period.months < 12) return split(30 * months + days, 30 * period.months);
    const years = Math.floor(months / 12);
    const part = days === 0 ? (months % 12) / 12 : (addMonths(date, -12 * years) - start) / DAYS_A_YEAR;
    return { periods: years, part };
  };
}

/** Half months are counted where dates step by them, from the start or from the first; else they are 15 days. */
function halfMonthsFrom(
  start: DayNumber,
  series: readonly DayNumber[],
  since: ReturnType<typeof monthsSince>,
): (date: DayNumber) => Omit<Flow, "amount"> {
  const dates = [...new Set(series)];
  const [first = start] = dates;
  const inDays = (date: DayNumber) => {
    const { months, days } = since(date);
    return split(30 * months + days, 15);
  };
  const whole = first > start ? halfMonthPlaces([start, ...dates]) : undefined;
  if (whole) return date => ({ periods: whole.get(date) ?? 0, part: 0 });
  const places = halfMonthPlaces(dates);
  if (!places) return inDays;
  const { periods, part } = inDays(first);
  return date => ({ periods: periods + (places.get(date) ?? 0), part });
}

function split(days: number, unit: number): Omit<Flow, "amount"> {
  return { periods: Math.floor(days / unit), part: (days % unit) / unit };
}
