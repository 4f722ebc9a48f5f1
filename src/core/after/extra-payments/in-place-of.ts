import type { DayNumber } from "../../calendar";
import type { Extra } from "../../kinds/loan/plan";
import { type LoanQuote, machineOf } from "../../kinds/loan/quote";

/** Extra money of one kind: with the payments from one to another, or once. */
export type ExtraMoney = { each: { from?: number; to?: number } } | { after: number } | { date: DayNumber };

/**
 * What is tried with an amount in place of what is tried of its own kind: of the extra with each payment, or of the money
 * of that day.
 *
 * @param quote an answered deal, whose dates tell whether two moneys come on one day
 * @param early what is tried
 * @param money which kind of it
 * @param amount minor units; nothing of that kind where it is 0
 * @example inPlaceOf(campervan, { each: { amount: 5_000 } }, { each: { from: 25 } }, 7_500) // { each: { from: 25, amount: 7500 } }
 */
export function inPlaceOf(quote: LoanQuote, early: Extra, money: ExtraMoney, amount: number): Extra {
  if ("each" in money) {
    const { each: _, ...others } = early;
    return amount > 0 ? { ...others, each: { ...money.each, amount } } : others;
  }
  const { dateOf } = machineOf(quote).loan.draft.calendar;
  const dayOf = (when: { after: number } | { date: DayNumber }) =>
    "after" in when ? (dateOf(when.after) ?? `payment ${when.after}`) : when.date;
  const others = (early.once ?? []).filter(each => dayOf(each) !== dayOf(money));
  return { ...early, once: amount > 0 ? [...others, { ...money, amount }] : others };
}
