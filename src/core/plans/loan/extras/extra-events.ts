import { addMonths, type DayNumber, isoDate } from "../../../calendar";
import { failure, type Result, success } from "../../../result";
import type { Draft } from "../draft";

/** Money on top of the plan's payments, in minor units. */
export type Extra = {
  /** With every payment. */
  each?: number | null;
  /** Every year on the day of a first date. */
  yearly?: { amount: number; from: DayNumber };
  /** Once, each on a date. */
  once?: readonly { amount: number | null; date: DayNumber }[];
};

/** An extra on a date, at its place in the table. */
export type ExtraEvent = {
  amount: number;
  date: DayNumber;
  /** The payment date that comes next, from 1, or that it falls on. */
  before: number;
  /** How many days of the period are still to come, and how many it has. */
  daysLeft: number;
  daysInPeriod: number;
  /** Whether it may be more than is owed, and is then just that. */
  trimmed: boolean;
};

/** Puts a plan's extras on the dates of its table, in order. */
export function extraEvents(extra: Extra, draft: Draft): Result<ExtraEvent[]> {
  const dated = [
    ...(extra.once ?? []).map(({ amount, date }) => ({ amount: amount ?? 0, date, trimmed: false })),
    ...yearlyDates(extra, draft).map(date => ({ amount: extra.yearly?.amount ?? 0, date, trimmed: true })),
  ].sort((a, b) => a.date - b.date);
  if (dated.length === 0) return success([]);
  const { start, dateOf } = draft.calendar;
  const end = dateOf(draft.payments);
  if (start === null || end === null) {
    return failure("extra", "Extra payments on a date need the contract date; type it.");
  }
  const events: ExtraEvent[] = [];
  let before = 1;
  for (const { amount, date, trimmed } of dated) {
    if (date < start || date > end) {
      return failure(
        "extra",
        `The extra payment on ${isoDate(date)} lies outside the loan; it can be from ${isoDate(start)} to ${isoDate(end)}.`,
      );
    }
    while ((dateOf(before) ?? end) < date) before += 1;
    const next = dateOf(before) ?? end;
    const last = before === 1 ? start : (dateOf(before - 1) ?? start);
    events.push({
      amount,
      date,
      before,
      daysLeft: next - date,
      daysInPeriod: Math.max(next - last, 1),
      trimmed,
    });
  }
  return success(events);
}

function yearlyDates({ yearly }: Extra, { calendar, payments }: Draft): DayNumber[] {
  if (!yearly) return [];
  const end = calendar.dateOf(payments);
  if (end === null) return [yearly.from];
  const dates: DayNumber[] = [];
  for (let year = 0; addMonths(yearly.from, 12 * year) <= end || year === 0; year++) {
    dates.push(addMonths(yearly.from, 12 * year));
  }
  return dates;
}
