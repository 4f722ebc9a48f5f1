import { success } from "../../../result";
import { rateByDays, regularRate } from "../draft";
import type { Shape } from "./shape";

/** What is left to pay at the end: minor units, or a percent of the price as typed. */
export type Balloon = { amount: number } | { percent: string };

/**
 * A last amount at the end of the term: together with the last payment, or one period after it where
 * payments are in advance.
 */
export const balloon: Shape<{ balloon?: Balloon | null }> = (draft, { balloon: asked }) => {
  if (!asked) return success(draft);
  const { calendar, payments } = draft;
  if (calendar.timing === "arrears") return success(draft);
  const [last, end] = [calendar.dateOf(payments), calendar.dateOf(payments + 1)];
  const balloonRate =
    calendar.dayCount === "equal" || last === null || end === null
      ? regularRate(calendar)
      : rateByDays(calendar)(last, end);
  return success({ ...draft, balloonRate });
};
