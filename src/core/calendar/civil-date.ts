import { digitsBetween, twoDigits } from "../digits";

/** A civil date as the number of days since 1 January 1970. No clock, no time zone. */
export type DayNumber = number;

/** A civil date by its parts; `month` is 1 to 12. */
export type CivilDate = { year: number; month: number; day: number };

const DAYS_BEFORE_EPOCH = 719_468;

/** How many days a month has. Example: `daysInMonth(2028, 2)` is 29. */
export function daysInMonth(year: number, month: number): number {
  if (month === 2) return year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0) ? 29 : 28;
  return month === 4 || month === 6 || month === 9 || month === 11 ? 30 : 31;
}

/**
 * The day number of a civil date of the Gregorian calendar, counting years from 1 March so that the leap
 * day comes last.
 *
 * @example dayNumber(1970, 1, 1) // 0
 */
export function dayNumber(year: number, month: number, day: number): DayNumber {
  const marchYear = month <= 2 ? year - 1 : year;
  const era = Math.floor(marchYear / 400);
  const yearOfEra = marchYear - era * 400;
  const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1;
  const dayOfEra = yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear;
  return era * 146_097 + dayOfEra - DAYS_BEFORE_EPOCH;
}

/** The civil date of a day number, the inverse of {@link dayNumber}. Example: `civilDate(0).year` is 1970. */
export function civilDate(days: DayNumber): CivilDate {
  const shifted = days + DAYS_BEFORE_EPOCH;
  const era = Math.floor(shifted / 146_097);
  const dayOfEra = shifted - era * 146_097;
  const yearOfEra = Math.floor(
    (dayOfEra -
      Math.floor(dayOfEra / 1460) +
      Math.floor(dayOfEra / 36_524) -
      Math.floor(dayOfEra / 146_096)) /
      365,
  );
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const marchMonth = Math.floor((5 * dayOfYear + 2) / 153);
  const month = marchMonth < 10 ? marchMonth + 3 : marchMonth - 9;
  return {
    year: yearOfEra + era * 400 + (month <= 2 ? 1 : 0),
    month,
    day: dayOfYear - Math.floor((153 * marchMonth + 2) / 5) + 1,
  };
}

/** The years that a date may lie in. */
export const EARLIEST_YEAR = 1900;
export const LATEST_YEAR = 2199;

/**
 * Reads an ISO 8601 calendar date.
 *
 * @returns its day number, or `undefined` for anything else, a day that does not exist, or a year outside
 *   {@link EARLIEST_YEAR} to {@link LATEST_YEAR}
 * @example parseIsoDate("2026-12-24") // 20811
 */
export function parseIsoDate(text: string): DayNumber | undefined {
  if (text.length !== 10 || text[4] !== "-" || text[7] !== "-") return undefined;
  const year = digitsBetween(text, 0, 4);
  const month = digitsBetween(text, 5, 7);
  const day = digitsBetween(text, 8, 10);
  if (year < EARLIEST_YEAR || year > LATEST_YEAR || month < 1 || month > 12) return undefined;
  if (day < 1 || day > daysInMonth(year, month)) return undefined;
  return dayNumber(year, month, day);
}

/** Writes a day number as an ISO 8601 date. Example: `isoDate(20811)` is "2026-12-24". */
export function isoDate(days: DayNumber): string {
  const { year, month, day } = civilDate(days);
  return `${String(year).padStart(4, "0")}-${twoDigits(month)}-${twoDigits(day)}`;
}
