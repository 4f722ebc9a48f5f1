import { type DayNumber, dayNumber, isoDate } from "@/core";

/** A day as a record holds it. */
export const dateText = (day: DayNumber | null): string | null => (day === null ? null : isoDate(day));

/** The day of such a text, however late: a loan of many years ends after the last one that can be typed. */
export function dayOf(date: string | null): DayNumber | null {
  if (date === null) return null;
  const [year = 0, month = 1, day = 1] = date.split("-").map(Number);
  return dayNumber(year, month, day);
}
