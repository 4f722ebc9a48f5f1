import { civilDate } from "../../../calendar";
import { failure, success } from "../../../result";
import { changeDates, countDates, withoutEmptyEnd } from "../draft";
import type { Shape } from "./shape";

/** No payment in some calendar months of each year; their interest is added to what is owed. */
export const skippedMonths: Shape<{ skippedMonths?: readonly number[] }> = (draft, plan) => {
  const months = plan.skippedMonths ?? [];
  if (months.length === 0) return success(draft);
  const wrong = months.find(month => !Number.isInteger(month) || month < 1 || month > 12);
  if (wrong !== undefined) {
    return failure("skippedMonths", `The skipped month ${wrong} is no month; it must be 1 to 12.`);
  }
  const { dateOf } = draft.calendar;
  if (dateOf(1) === null) {
    return failure("skippedMonths", "Skipped months need dates; type the contract date.");
  }
  const skipped = new Set(months);
  const isSkipped = (number: number) => skipped.has(civilDate(dateOf(number) ?? 0).month);
  const kept = withoutEmptyEnd(changeDates(draft.runs, isSkipped, () => ({ kind: "none" })));
  if (!kept.some(({ pay }) => pay.kind !== "none")) {
    return failure("skippedMonths", "Every payment date falls in a skipped month; skip fewer of them.");
  }
  return success({ ...draft, runs: kept, payments: countDates(kept) });
};
