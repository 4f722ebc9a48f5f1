import { type DayNumber, monthsAndDaysBetween, wholeMonthsAfter } from "../calendar";

/**
 * Makes the function from a date of a series to its whole months and odd days since the start, months back from the
 * later date.
 *
 * Dates that step by months from the first of the series are whole months after it, so that a series at the ends of
 * months stays one.
 *
 * @param start day number that the time counts from
 * @param first the first date of the series
 */
export function monthsSince(
  start: DayNumber,
  first: DayNumber,
): (date: DayNumber) => { months: number; days: number } {
  const toFirst = monthsAndDaysBetween(start, first);
  return date => {
    const after = wholeMonthsAfter(first, date);
    return after === undefined
      ? monthsAndDaysBetween(start, date)
      : { months: toFirst.months + after, days: toFirst.days };
  };
}
