import { LEVEL_PAY, type Run } from "../../../../annuity";
import { type DayNumber, isoDate } from "../../../../calendar";
import { failure, type Result, success } from "../../../../result";
import { type Draft, rateByDays } from "../draft";
import { conflictOf, type Part } from "./conflicts";
import type { Shape } from "./shape";

/** A payment on a date; without an amount it is the one to find. */
export type DatedPayment = { date: DayNumber; amount: number | null };

/** The parts of a plan that a list says by itself. */
const EXCLUDED = ["deferred", "interestOnly", "skippedMonths", "steps"] as const satisfies Part[];

type Inputs = { datedPayments?: readonly DatedPayment[] } & {
  [Excluded in (typeof EXCLUDED)[number]]?: unknown;
};

/** Any list of dated payments; the ones without an amount are equal and solved for. */
export const datedPayments: Shape<Inputs> = (draft, plan) => {
  const { datedPayments: list } = plan;
  if (!list) return success(draft);
  const { calendar } = draft;
  const conflict = conflictOf(
    plan,
    EXCLUDED,
    part => `A list of payments cannot have ${part}; list what is paid.`,
  );
  if (conflict) return conflict;
  if (calendar.timing === "advance") {
    return failure("timing", "A list of payments has its own dates; leave the timing out.");
  }
  if (calendar.start === null) {
    return failure("signed", "Dated payments need the contract date, from which interest counts.");
  }
  const ordered = checkOrder(list, calendar.start);
  if (!ordered.ok) return ordered;
  return success(datedDraft(draft, list, calendar.start));
};

function checkOrder(list: readonly DatedPayment[], start: DayNumber): Result<true> {
  let before = start;
  for (const { date } of list) {
    if (date < before || (date === before && before !== start)) {
      return failure(
        "datedPayments",
        `The payment on ${isoDate(date)} is out of order; each must come after the one before it, the first not before ${isoDate(start)}.`,
      );
    }
    before = date;
  }
  return success(true);
}

function datedDraft(draft: Draft, list: readonly DatedPayment[], start: DayNumber): Draft {
  const rateBetween = rateByDays(draft.calendar);
  const runs = list.map(({ date, amount }, index): Run => {
    const from = list[index - 1]?.date ?? start;
    return {
      count: 1,
      rate: rateBetween(from, date),
      pay: amount === null ? LEVEL_PAY : { kind: "amount", amount },
    };
  });
  const dateOf = (number: number) => list[number - 1]?.date ?? null;
  return { ...draft, runs, payments: list.length, calendar: { ...draft.calendar, dateOf } };
}
