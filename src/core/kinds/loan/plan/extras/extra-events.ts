import { addMonths, type DayNumber, isoDate } from "../../../../calendar";
import { failure, type Result, success } from "../../../../result";
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

/** Money on a date. */
export type DatedExtra = {
  amount: number;
  date: DayNumber;
  /** Whether it may be more than is owed, and is then just that. */
  trimmed: boolean;
  /** Whether one of the same kind came before it, so that it may well come after the loan has ended. */
  repeats: boolean;
};

/** An extra on a date, at its place in the table. */
export type ExtraEvent = DatedExtra & {
  /** The payment date that comes next, from 1, or that it falls on. */
  before: number;
  /** How many days of the period are still to come, and how many it has. */
  daysLeft: number;
  daysInPeriod: number;
};

/** A plan's extras: the ones within its term, in order, and the ones after it, which are not used. */
export type Extras = { events: readonly ExtraEvent[]; late: readonly DatedExtra[] };

const NONE: Result<Extras> = success({ events: [], late: [] });

/** Puts a plan's extras on the dates of its table, in order. */
export function extraEvents(extra: Extra | undefined, draft: Draft): Result<Extras> {
  if (!extra?.once && !extra?.yearly) return NONE;
  const dated = [...onceExtras(extra), ...yearlyExtras(extra, draft)].sort((a, b) => a.date - b.date);
  const [first] = dated;
  if (!first) return NONE;
  const { start, dateOf } = draft.calendar;
  const end = dateOf(draft.payments);
  if (start === null || end === null) {
    return failure("extra", "Extra payments on a date need the contract date; type it.");
  }
  if (first.date < start) {
    return failure(
      "extra",
      `The extra payment on ${isoDate(first.date)} comes before the loan; it can be from ${isoDate(start)} to ${isoDate(end)}.`,
    );
  }
  const events: ExtraEvent[] = [];
  let before = 1;
  for (const each of dated.filter(({ date }) => date <= end)) {
    while ((dateOf(before) ?? end) < each.date) before += 1;
    const next = dateOf(before) ?? end;
    const last = before === 1 ? start : (dateOf(before - 1) ?? start);
    events.push({ ...each, before, daysLeft: next - each.date, daysInPeriod: Math.max(next - last, 1) });
  }
  return success({ events, late: dated.filter(({ date }) => date > end) });
}

function onceExtras({ once = [] }: Extra): DatedExtra[] {
  return once.map(({ amount, date }) => ({ amount: amount ?? 0, date, trimmed: false, repeats: false }));
}

function yearlyExtras({ yearly }: Extra, { calendar, payments }: Draft): DatedExtra[] {
  if (!yearly) return [];
  const end = calendar.dateOf(payments) ?? yearly.from;
  const extras: DatedExtra[] = [];
  for (let year = 0; addMonths(yearly.from, 12 * year) <= end || year === 0; year++) {
    const date = addMonths(yearly.from, 12 * year);
    extras.push({ amount: yearly.amount, date, trimmed: true, repeats: year > 0 });
  }
  return extras;
}
