import { civilDate, type DayNumber, dayNumber, daysInMonth } from "../../calendar";

/** How many 29ths of February come after one day, up to and with another. */
export function leapDaysBetween(from: DayNumber, to: DayNumber): number {
  return leapDaysUntil(to) - leapDaysUntil(from);
}

function leapDaysUntil(date: DayNumber): number {
  const { year } = civilDate(date);
  const years = year - 1;
  const before = Math.floor(years / 4) - Math.floor(years / 100) + Math.floor(years / 400);
  return before + (daysInMonth(year, 2) === 29 && date >= dayNumber(year, 2, 29) ? 1 : 0);
}
