import { civilDate, type DayNumber, stepPeriods, type TwoDays } from "../calendar";

/** Half a month is so many days long, between two days of any month. */
const SHORTEST = 13;
const LONGEST = 17;
/** Two weeks, which February can make half a month of. */
const TWO_WEEKS = 14;

const DAYS_A_HALF_MONTH = 365.25 / 24;

/**
 * The place of each date among half months, from 0, where dates fall on two days of the month: the 28th of February is
 * that month's 30th where other months have one. Some may be left out between them. Undefined where they do not fall so.
 *
 * @param dates day numbers in order, each once
 */
export function halfMonthPlaces(dates: readonly DayNumber[]): Map<DayNumber, number> | undefined {
  const [first] = dates;
  if (first === undefined || dates.every(date => (date - first) % TWO_WEEKS === 0)) return undefined;
  const places = new Map(dates.map(date => [date, Math.round((date - first) / DAYS_A_HALF_MONTH)]));
  const twoDays = daysOf(places);
  const length = twoDays[1] - twoDays[0];
  if (twoDays[0] === 0 || length < SHORTEST || length > LONGEST) return undefined;
  const isThere = (date: DayNumber) =>
    stepPeriods("twiceAMonth", first, places.get(date) ?? 0, twoDays) === date;
  return dates.every(isThere) ? places : undefined;
}

/** The two days of the month that dates take turns on: the latest that each has, for a short month has only less. */
function daysOf(places: ReadonlyMap<DayNumber, number>): TwoDays {
  const latest = [0, 0];
  for (const [date, place] of places) {
    latest[place % 2] = Math.max(latest[place % 2] ?? 0, civilDate(date).day);
  }
  const [a = 0, b = 0] = latest;
  return [Math.min(a, b), Math.max(a, b)];
}
