import { civilDate, type DayNumber, stepPeriods, type TwoDays } from "../calendar";

/** Half a month is so many days long, between two days of any month. */
const SHORTEST = 13;
const LONGEST = 17;
/** Two weeks, which February can make half a month of. */
const TWO_WEEKS = 14;

/**
 * The place of each date among half months, from 0, where dates step from one to the next between two days of the month:
 * the 28th of February is that month's 30th where other months have one. Undefined where they do not step so.
 *
 * @param dates day numbers in order, each once
 */
export function halfMonthPlaces(dates: readonly DayNumber[]): Map<DayNumber, number> | undefined {
  const [first] = dates;
  if (first === undefined || dates.length < 2 || areWeeks(dates)) return undefined;
  const twoDays = daysOf(dates);
  const length = twoDays[1] - twoDays[0];
  if (length < SHORTEST || length > LONGEST) return undefined;
  const isStep = (date: DayNumber, index: number) =>
    stepPeriods("twiceAMonth", first, index, twoDays) === date;
  return dates.every(isStep) ? new Map(dates.map((date, index) => [date, index])) : undefined;
}

function areWeeks(dates: readonly DayNumber[]): boolean {
  return dates.every((date, index) => index === 0 || date - (dates[index - 1] ?? 0) === TWO_WEEKS);
}

/** The two days of the month that dates take turns on: the latest that each has, for a short month has only less. */
function daysOf(dates: readonly DayNumber[]): TwoDays {
  const latest = [0, 0];
  for (const [index, date] of dates.entries()) {
    latest[index % 2] = Math.max(latest[index % 2] ?? 0, civilDate(date).day);
  }
  const [a = 0, b = 0] = latest;
  return [Math.min(a, b), Math.max(a, b)];
}
