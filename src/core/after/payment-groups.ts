import type { DayNumber } from "../calendar";

/** Something that is paid, in minor units; nothing is, where it is 0. */
type Paid = { number: number; date: DayNumber | null; amount: number; kind: string };

/** So many payments of one amount, one after the other. */
export type PaymentGroup = {
  count: number;
  /** Minor units, of each. */
  amount: number;
  kind: string;
  /** The number and the day of the first and of the last; days are null without dates. */
  from: number;
  to: number;
  firstDate: DayNumber | null;
  lastDate: DayNumber | null;
};

/**
 * Payments in rows of equal ones, as a payment schedule tells them: an odd first and last, extras and a balloon have rows
 * of their own (12 CFR 1026.18(g)). A date on which nothing is paid is left out, and begins another row after it.
 *
 * @param payments in order
 * @returns what their rows come to adds up to what all payments come to
 * @example paymentGroups([{ number: 1, date: null, amount: 500, kind: "payment" }, { number: 2, date: null, amount: 500, kind: "payment" }])[0].count // 2
 */
export function paymentGroups(payments: readonly Paid[]): PaymentGroup[] {
  const groups: PaymentGroup[] = [];
  let isCut = true;
  for (const { number, date, amount, kind } of payments) {
    const last = groups.at(-1);
    if (amount === 0) isCut = true;
    else if (last && !isCut && last.amount === amount && last.kind === kind)
      Object.assign(last, { count: last.count + 1, to: number, lastDate: date });
    else {
      groups.push({ count: 1, amount, kind, from: number, to: number, firstDate: date, lastDate: date });
      isCut = false;
    }
  }
  return groups;
}
