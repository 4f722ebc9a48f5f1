import { civilDate, type DayNumber } from "../calendar";

/** Lines of a table that belong together: a calendar year, or a year of the contract from 1, and their places from one to before another. */
export type YearGroup = { year: number; from: number; to: number };

/** How lines are grouped: by the calendar, or by years since the contract, with so many payments each. */
export type GroupedBy = "calendar" | { perYear: number };

/**
 * The lines of a table of payments year by year, in order.
 *
 * @param rows lines with the numbers of their payments; grouped by the calendar all of them have dates
 * @param by the calendar, or years since the contract
 * @example yearGroups(campervan.schedule, { perYear: 12 })[1] // { year: 2, from: 12, to: 24 }
 */
export function yearGroups(
  rows: readonly { number: number; date: DayNumber | null }[],
  by: GroupedBy,
): YearGroup[] {
  const yearOf = ({ date, number }: (typeof rows)[number]) =>
    by === "calendar" ? civilDate(date ?? 0).year : Math.floor((Math.max(number, 1) - 1) / by.perYear) + 1;
  const groups: YearGroup[] = [];
  for (const [place, row] of rows.entries()) {
    const year = yearOf(row);
    const last = groups.at(-1);
    if (last?.year === year) last.to = place + 1;
    else groups.push({ year, from: place, to: place + 1 });
  }
  return groups;
}
