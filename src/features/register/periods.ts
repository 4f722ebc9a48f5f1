import { addMonths, civilDate, type DayNumber, dayNumber, isoDate } from "@/core";

/** From one day to another, both counted, as ISO 8601. */
export type Period = { from: string; to: string };

const PERIODS = {
  today: ["Today", today => [today, today]],
  week: ["Last 7 days", today => [today - 6, today]],
  month: ["This month", today => [firstOfMonth(today), addMonths(firstOfMonth(today), 1) - 1]],
  lastMonth: ["Last month", today => [addMonths(firstOfMonth(today), -1), firstOfMonth(today) - 1]],
  year: ["This year", today => yearOf(civilDate(today).year)],
  lastYear: ["Last year", today => yearOf(civilDate(today).year - 1)],
} satisfies Record<string, [name: string, days: (today: DayNumber) => [DayNumber, DayNumber]]>;

export type PeriodName = keyof typeof PERIODS;

const firstOfMonth = (day: DayNumber) => {
  const { year, month } = civilDate(day);
  return dayNumber(year, month, 1);
};

const yearOf = (year: number): [DayNumber, DayNumber] => [dayNumber(year, 1, 1), dayNumber(year, 12, 31)];

/** What the periods are called. */
export const PERIOD_NAMES = Object.fromEntries(
  Object.entries(PERIODS).map(([name, [words]]) => [name, words]),
) as Record<PeriodName, string>;

/** The days of a period. */
export function periodOf(name: PeriodName, today: DayNumber): Period {
  const [from, to] = PERIODS[name][1](today);
  return { from: isoDate(from), to: isoDate(to) };
}

/** Which period some days are; null where they are none that has a name. */
export function nameOfPeriod(period: Partial<Period>, today: DayNumber): PeriodName | null {
  const names = Object.keys(PERIODS) as PeriodName[];
  return names.find(name => isPeriod(periodOf(name, today), period)) ?? null;
}

const isPeriod = (one: Period, other: Partial<Period>) => one.from === other.from && one.to === other.to;
