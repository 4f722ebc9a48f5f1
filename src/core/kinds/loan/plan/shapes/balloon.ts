import { success } from "../../../../result";
import type { Distance } from "../../../kind";
import { rateBefore } from "../draft";
import type { Shape } from "./shape";

/** The vehicle can be given back in place of paying the balloon: for a fee in minor units, and for distance beyond. */
export type Returnable = { fee: number; distance?: Omit<Distance, "expected"> };

/** What is left to pay at the end: minor units, or a percent of the price as typed. */
export type Balloon = ({ amount: number } | { percent: string }) & { returnable?: Returnable };

/**
 * A last amount at the end of the term: together with the last payment, or one period after it where
 * payments are in advance.
 */
export const balloon: Shape<{ balloon?: Balloon | null }> = (draft, { balloon: asked }) => {
  if (!asked) return success(draft);
  const { calendar, payments } = draft;
  if (calendar.timing === "arrears") return success(draft);
  return success({ ...draft, balloonRate: rateBefore(calendar, payments + 1) });
};
