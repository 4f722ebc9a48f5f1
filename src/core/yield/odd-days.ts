import { addMonths, type DayNumber } from "../calendar";

/** Odd days from a start over the length of the year that ends with them. */
export function oddDaysInYears(start: DayNumber, days: number): number {
  if (days === 0) return 0;
  const last = start + days;
  return days / (last - addMonths(last, -12));
}
