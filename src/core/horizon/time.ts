import { type DayNumber, periodStepper } from "../calendar";
import { type Exact, wholly } from "./exact";

/** How long after signing something falls: whole months, and the days beyond. */
export type Since = { months: number; days: number };

/**
 * The whole months from one date to another, counted on from the earlier, and the days that are left.
 *
 * @param from earlier day number
 * @param to later day number, not before `from`
 * @example monthsSince(parseIsoDate("2027-01-31"), parseIsoDate("2027-03-01")) // { months: 1, days: 1 }
 */
export function monthsSince(from: DayNumber, to: DayNumber): Since {
  const stepped = stepperFrom(from);
  let months = Math.floor((to - from) / LONGEST_MONTH);
  while (stepped(months + 1) <= to) months += 1;
  return { months, days: to - stepped(months) };
}

const LONGEST_MONTH = 31;

/** The flows of a way all count from one day. */
let last: { from: DayNumber; stepped: (months: number) => DayNumber } | undefined;

function stepperFrom(from: DayNumber): (months: number) => DayNumber {
  if (last?.from !== from) last = { from, stepped: periodStepper("monthly", from) };
  return last.stepped;
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
