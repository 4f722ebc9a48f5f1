import { type CivilDate, civilDate, type DayNumber, dayNumber, daysInMonth } from "./civil-date";

/** The date some months after a civil date, on its day of the month or on the last day of a shorter month. */
export function monthsAfter({ year, month, day }: CivilDate, months: number): DayNumber {
  const monthIndex = month - 1 + months;
  const newYear = year + Math.floor(monthIndex / 12);
  const newMonth = monthIndex - Math.floor(monthIndex / 12) * 12 + 1;
  return dayNumber(newYear, newMonth, day <= 28 ? day : Math.min(day, daysInMonth(newYear, newMonth)));
}

/**
 * Steps a date by months, keeping its day: from 31 January by one, then by two months, gives 28 February,
 * then 31 March.
 *
 * @param date day number
 * @param months whole months, may be negative
 * @example isoDate(addMonths(parseIsoDate("2027-01-31"), 1)) // "2027-02-28"
 */
export function addMonths(date: DayNumber, months: number): DayNumber {
  return monthsAfter(civilDate(date), months);
}

/**
 * How many whole months a date lies after another: on its day, or at the end of a shorter month.
 *
 * @returns undefined where it lies on another day
 * @example wholeMonthsAfter(parseIsoDate("2027-01-31"), parseIsoDate("2027-02-28")) // 1
 */
export function wholeMonthsAfter(from: DayNumber, to: DayNumber): number | undefined {
  const [start, end] = [civilDate(from), civilDate(to)];
  const months = (end.year - start.year) * 12 + end.month - start.month;
  return monthsAfter(start, months) === to ? months : undefined;
}

/**
 * The time between two dates as whole months and odd days.
 *
 * Months are measured back from the later date and the odd days forward from the earlier one (12 CFR 1026,
 * Appendix J, (b)(5)(ii)). Where the later date is a plain month step of the earlier, as 28 February is of
 * 31 January, there are no odd days.
 *
 * @param from earlier day number
 * @param to later day number, not before `from`
 * @example monthsAndDaysBetween(parseIsoDate("2026-11-24"), parseIsoDate("2027-01-08")) // { months: 1, days: 14 }
 */
export function monthsAndDaysBetween(from: DayNumber, to: DayNumber): { months: number; days: number } {
  const start = civilDate(from);
  const end = civilDate(to);
  const calendarMonths = (end.year - start.year) * 12 + end.month - start.month;
  if (monthsAfter(start, calendarMonths) === to) return { months: calendarMonths, days: 0 };
  const months = monthsAfter(end, -calendarMonths) >= from ? calendarMonths : calendarMonths - 1;
  return { months, days: monthsAfter(end, -months) - from };
}
