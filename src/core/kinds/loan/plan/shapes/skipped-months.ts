import type { Run } from "../../../../annuity";
import { civilDate, type DayNumber, isoDate } from "../../../../calendar";
import { failure, success } from "../../../../result";
import { changeDates, countDates, type Draft, rateBefore } from "../draft";
import type { Shape } from "./shape";

type Inputs = { skippedMonths?: readonly number[] };

/** Looking so many periods on finds a month that is not skipped, where there is one at all. */
const MOST_PERIODS_ON = 24;

/**
 * No payment in some calendar months of each year; their interest is added to what is owed. Where the last date falls
 * in one of them, its payment moves to the next date that is paid.
 */
export const skippedMonths: Shape<Inputs> = (draft, plan) => {
  const months = plan.skippedMonths;
  if (!months || months.length === 0) return success(draft);
  const wrong = months.find(month => !Number.isInteger(month) || month < 1 || month > 12);
  if (wrong !== undefined) {
    return failure("skippedMonths", `The skipped month ${wrong} is no month; it must be 1 to 12.`);
  }
  const { dateOf } = draft.calendar;
  if (dateOf(1) === null) {
    return failure("skippedMonths", "Skipped months need dates; type the contract date.");
  }
  const skips = (number: number) => isSkipped(plan, dateOf(number) ?? 0);
  const { payments } = draft;
  let last = payments;
  while (skips(last) && last <= payments + MOST_PERIODS_ON) last += 1;
  if (skips(last)) {
    return failure("skippedMonths", "Every payment date falls in a skipped month; skip fewer of them.");
  }
  const runs = [
    ...changeDates(draft.runs, skips, () => ({ kind: "none" })),
    ...runsUntil(draft, payments + 1, last),
  ];
  const notes = last > payments ? [...draft.notes, movedText(dateOf(payments), dateOf(last))] : draft.notes;
  return success({ ...draft, runs, payments: countDates(runs), notes });
};

/** Whether no payment is made on a date. */
export function isSkipped({ skippedMonths = [] }: Inputs, date: DayNumber): boolean {
  return skippedMonths.includes(civilDate(date).month);
}

/** Dates past the planned ones: nothing is paid but on the last, which takes over the last planned payment. */
function runsUntil({ calendar, runs }: Draft, from: number, last: number): Run[] {
  const pay = runs.at(-1)?.pay ?? { kind: "none" };
  return Array.from({ length: last - from + 1 }, (_, index) => ({
    count: 1,
    rate: rateBefore(calendar, from + index),
    pay: from + index === last ? pay : { kind: "none" },
  }));
}

function movedText(planned: DayNumber | null, made: DayNumber | null): string {
  return `The last payment, on ${isoDate(planned ?? 0)}, falls in a skipped month; it is made on ${isoDate(made ?? 0)}.`;
}
