import { addMonths, civilDate, type DayNumber, dayNumber, isoDate } from "../../../../calendar";
import { failure, type Result, success } from "../../../../result";
import type { Draft } from "../draft";
import type { Extra, ExtraEffect, OnceExtra } from "./extra";

/** Money on a date, or after a payment. */
export type DatedExtra = {
  amount: number;
  /** Null where the plan has no dates. */
  date: DayNumber | null;
  /** After which payment, where it was said so. */
  after?: number;
  effect: ExtraEffect;
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
  const { start, dateOf } = draft.calendar;
  const end = dateOf(draft.payments);
  if (start === null || end === null)
    return hasDates(extra) ? withoutDates() : success(byNumber(extra, draft));
  const dated = [...onceExtras(extra, draft), ...yearlyExtras(extra, draft)].sort((a, b) => a.date - b.date);
  const [first] = dated;
  if (first && first.date < start)
    return failure(
      "extra",
      `The extra payment on ${isoDate(first.date)} comes before the loan; it can be from ${isoDate(start)} to ${isoDate(end)}.`,
    );
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

const hasDates = ({ once = [], yearly }: Extra) => Boolean(yearly) || once.some(each => "date" in each);

const withoutDates = () => failure("extra", "Extra payments on a date need the contract date; type it.");

/** Extras of a plan without dates, each right after its payment. */
function byNumber({ once = [] }: Extra, { payments }: Draft): Extras {
  const all = once
    .flatMap(each => ("after" in each ? [{ ...onceExtra(each), after: each.after, date: null }] : []))
    .sort((a, b) => a.after - b.after);
  return {
    events: all
      .filter(({ after }) => after <= payments)
      .map(each => ({ ...each, before: each.after, daysLeft: 0, daysInPeriod: 1 })),
    late: all.filter(({ after }) => after > payments),
  };
}

const onceExtra = ({ amount, effect = "sooner" }: OnceExtra) => ({
  amount: amount ?? 0,
  effect,
  trimmed: false,
  repeats: false,
});

type OnDate = DatedExtra & { date: DayNumber };

function onceExtras({ once = [] }: Extra, { calendar }: Draft): OnDate[] {
  return once.flatMap(each => {
    const date = "after" in each ? calendar.dateOf(each.after) : each.date;
    if (date === null) return [];
    return [{ ...onceExtra(each), date, ...("after" in each && { after: each.after }) }];
  });
}

function yearlyExtras({ yearly }: Extra, { calendar, payments }: Draft): OnDate[] {
  if (!yearly) return [];
  const dates =
    "month" in yearly
      ? monthDates(yearly, calendar, payments)
      : sameDays(yearly.from, calendar.dateOf(payments) ?? yearly.from);
  return dates.map((date, year) => ({
    amount: yearly.amount,
    date,
    effect: "sooner",
    trimmed: true,
    repeats: year > 0,
  }));
}

/** One day, and the same day of every year up to the end. */
function sameDays(from: DayNumber, end: DayNumber): DayNumber[] {
  const dates = [from];
  for (let year = 1; addMonths(from, 12 * year) <= end; year++) dates.push(addMonths(from, 12 * year));
  return dates;
}

/** The first payment date in a month of each year, else the next one; a month that is over before the loan has none. */
function monthDates(
  { month, fromYear }: { month: number; fromYear?: number },
  { dateOf, start }: Draft["calendar"],
  payments: number,
): DayNumber[] {
  const first = dateOf(1);
  if (first === null || start === null) return [];
  const begins = civilDate(first);
  const firstYear = fromYear ?? begins.year + (month < begins.month ? 1 : 0);
  const dates: DayNumber[] = [];
  let number = 1;
  for (let year = Math.max(firstYear, civilDate(start).year); number <= payments; year++) {
    const monthBegins = dayNumber(year, month, 1);
    if (addMonths(monthBegins, 1) <= start) continue;
    while (number <= payments && (dateOf(number) ?? 0) < monthBegins) number += 1;
    const date = number <= payments ? dateOf(number) : null;
    if (date !== null && date !== dates.at(-1)) dates.push(date);
  }
  return dates;
}
