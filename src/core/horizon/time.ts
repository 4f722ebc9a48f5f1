import { addMonths, civilDate, type DayNumber } from "../calendar";
import { type Exact, wholly } from "./exact";

/** How long after signing something falls: whole months, and the days beyond. */
export type Since = { months: number; days: number };

/**
 * The whole months from one date to another, counted on from the earlier, and the days that are left.
 *
 * @param from earlier day number
 * @param to later day number
 * @example monthsSince(parseIsoDate("2027-01-31"), parseIsoDate("2027-03-01")) // { months: 1, days: 1 }
 */
export function monthsSince(from: DayNumber, to: DayNumber): Since {
  const [start, end] = [civilDate(from), civilDate(to)];
  let months = (end.year - start.year) * 12 + end.month - start.month;
  while (addMonths(from, months) > to) months -= 1;
  return { months, days: to - addMonths(from, months) };
}

/** A time in years, exactly: months ÷ 12 and odd days ÷ 365. */
export function yearsOf({ months, days }: Since): Exact {
  return days === 0
    ? { numerator: BigInt(months), denominator: 12n }
    : { numerator: BigInt(365 * months + 12 * days), denominator: 4380n };
}

/** A time in months, exactly; odd days as 365ths of a year. */
export function monthsOf({ months, days }: Since): Exact {
  return days === 0 ? wholly(months) : { numerator: BigInt(365 * months + 12 * days), denominator: 365n };
}
