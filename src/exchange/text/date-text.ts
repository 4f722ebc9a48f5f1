import { civilDate, type DayNumber } from "@/core";

const MONTHS = [
  "January",
  "February",
  "March",
  "April",
  "May",
  "June",
  "July",
  "August",
  "September",
  "October",
  "November",
  "December",
];

/** A month's name by its number, from 1. */
export function monthName(month: number): string {
  return MONTHS[month - 1] ?? "";
}

/** A civil date in full: "24 December 2026". */
export function longDate(date: DayNumber): string {
  const { day, month, year } = civilDate(date);
  return `${day} ${MONTHS[month - 1]} ${year}`;
}

/** A civil date for a column: "24 Dec 2026". */
export function shortDate(date: DayNumber): string {
  const { day, month, year } = civilDate(date);
  return `${day} ${MONTHS[month - 1]?.slice(0, 3)} ${year}`;
}
