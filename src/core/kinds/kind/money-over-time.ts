import { addMonths, type DayNumber, monthsAndDaysBetween } from "../../calendar";

/** What a customer has paid and still owes after some line of a table, in minor units. */
export type MoneyAt = {
  /** After signing; a part of a month by its days. */
  months: number;
  date: DayNumber | null;
  /** What has left the customer's pocket: at signing, with payments, and what falls with them. */
  paid: number;
  /** Of a lease: what the vehicle stands for. */
  owed: number;
};

const DAYS_A_MONTH = 30;

/**
 * What is paid so far and still owed so many months after signing: after the payments of that day.
 *
 * @param points of {@link moneyOverTime}
 * @param months whole months
 * @example moneyAfter(moneyOverTime(quote), 36).owed // 2231957
 */
export function moneyAfter(points: readonly MoneyAt[], months: number): MoneyAt {
  const start = points[0]?.date ?? null;
  const day = start === null ? null : addMonths(start, months);
  const isReached = (point: MoneyAt) =>
    day === null || point.date === null ? point.months <= months : point.date <= day;
  return points.findLast(isReached) ?? (points[0] as MoneyAt);
}

/** How many months after signing a date falls, a part of a month by its days; undefined without dates. */
export function monthsTo(date: DayNumber | null, start: DayNumber | null): number | undefined {
  if (date === null || start === null) return undefined;
  const { months, days } = monthsAndDaysBetween(start, date);
  return months + days / DAYS_A_MONTH;
}
