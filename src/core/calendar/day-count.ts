import { civilDate, type DayNumber, dayNumber } from "./civil-date";
import { type Ratio, ratio } from "./ratio";

/**
 * How the time between two dates counts as a part of a year: `equal` takes regular periods as equal parts
 * of a year, the others count days.
 */
export type DayCount = "equal" | "30/360" | "actual/365" | "actual/360" | "actual/actual";

/**
 * The time between two dates in years, exactly.
 *
 * `30/360`: months of 30 days; a start on the 31st counts as the 30th, and an end on the 31st too where
 * the start is the 30th or 31st (ISDA 2006 Definitions, 4.16(f), "Bond Basis"). `actual/365` and `actual/360`: real days over a
 * fixed year (4.16(d), (e)). `actual/actual`: days in leap years over 366, the others over 365 (4.16(b)).
 *
 * @param count any but `equal`
 * @param from earlier day number
 * @param to later day number
 * @example yearsBetween("actual/360", parseIsoDate("2027-01-01"), parseIsoDate("2027-01-31")) // { numerator: 1, denominator: 12 }
 */
export function yearsBetween(count: Exclude<DayCount, "equal">, from: DayNumber, to: DayNumber): Ratio {
  switch (count) {
    case "actual/365":
      return ratio(to - from, 365);
    case "actual/360":
      return ratio(to - from, 360);
    case "30/360":
      return ratio(thirtyDayMonths(from, to), 360);
    case "actual/actual": {
      const leap = leapDaysBefore(to) - leapDaysBefore(from);
      return ratio(leap * 365 + (to - from - leap) * 366, 365 * 366);
    }
  }
}

function thirtyDayMonths(from: DayNumber, to: DayNumber): number {
  const start = civilDate(from);
  const end = civilDate(to);
  const startDay = Math.min(start.day, 30);
  const endDay = startDay === 30 ? Math.min(end.day, 30) : end.day;
  return (end.year - start.year) * 360 + (end.month - start.month) * 30 + endDay - startDay;
}

/** How many days before a date lie in leap years, counted from the year 1600. */
function leapDaysBefore(date: DayNumber): number {
  const { year } = civilDate(date);
  const years = year - 1 - 1600;
  const leapYears = Math.floor(years / 4) - Math.floor(years / 100) + Math.floor(years / 400) + 1;
  const isLeap = year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0);
  return leapYears * 366 + (isLeap ? date - dayNumber(year, 1, 1) : 0);
}
