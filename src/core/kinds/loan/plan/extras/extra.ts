import type { DayNumber } from "../../../../calendar";

/** Money on top of the plan's payments, in minor units. */
export type Extra = {
  each?: EachExtra;
  yearly?: YearlyExtra;
  /** Once, each on a date or right after a payment. */
  once?: readonly OnceExtra[];
};

/** With the payments from one to another, both counted from 1: from the first, to the last where left out. */
export type EachExtra = {
  /** Null while it is being found. */
  amount: number | null;
  from?: number;
  to?: number;
};

/**
 * Every year: on the day of a first date, or on the first payment date of a month, else the next one, from a calendar year
 * on; the first that has payments where it is left out.
 */
type YearlyExtra = { amount: number } & ({ from: DayNumber } | { month: number; fromYear?: number });

/** What extra money that comes once does: end the loan sooner, or lower the payments to the same end. */
export type ExtraEffect = "sooner" | "lowerPayments";

/** Money that comes once. */
export type OnceExtra = {
  /** Null while it is being found. */
  amount: number | null;
  /** `sooner` where left out. */
  effect?: ExtraEffect;
} & ({ date: DayNumber } | { after: number });

/**
 * What a plan pays extra on a payment date.
 *
 * @param each the extras with payments
 * @param number the payment date, from 1
 * @returns minor units
 * @example extraOn([{ amount: 5_000, from: 25 }], 24) // 0
 */
export function extraOn(each: readonly EachExtra[], number: number): number {
  let sum = 0;
  for (const { amount, from = 1, to = number } of each)
    if (number >= from && number <= to) sum += amount ?? 0;
  return sum;
}

/** The last payment date up to another one with the same extra as one before it. */
export function sameExtraUntil(each: readonly EachExtra[], number: number, until: number): number {
  let last = until;
  for (const { from = 1, to = until } of each) {
    if (from > number) last = Math.min(last, from - 1);
    else if (to >= number) last = Math.min(last, to);
  }
  return last;
}
