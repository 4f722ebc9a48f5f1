import { byPay, steppedPayment } from "../../annuity";
import { NO_RATE, type PeriodRate } from "../../interest";
import { type RowRounding, rowInterest } from "../way";
import type { ToRepay } from "./rows";

/**
 * The least that can be owed after each payment, so that a balloon is still reached: worked back from the end, as the rows
 * round. Agreed amounts are paid in full, other payments take no more than their interest, and the last one may be nothing.
 *
 * @param end what is to be owed at the end, in minor units
 */
export function leastOwedBy({ pays, timeline, rows, solved, rounding }: ToRepay, end: number): number[] {
  const least = Array.from({ length: pays.length + 1 }, () => end);
  for (let number = pays.length; number > 0; number--) {
    const after = least[number] ?? end;
    const rate = timeline.rates[number - 1] ?? NO_RATE;
    const pay = pays[number - 1];
    const before = (payment: number) => leastBefore(after, rate, payment, rows);
    if (!pay || number === pays.length) {
      least[number - 1] = before(0);
      continue;
    }
    least[number - 1] = byPay(pay, {
      level: ({ raises }) => {
        const each = steppedPayment(solved, raises, rounding);
        return each >= rowInterest(after, rate, rows) ? after : before(each);
      },
      principal: () => after,
      amount: ({ amount }) => before(amount),
      interest: () => after,
      none: () => before(0),
    });
  }
  return least;
}

/** The smallest amount that with one period's interest, less a payment, comes to another. */
function leastBefore(after: number, rate: PeriodRate, payment: number, rule: RowRounding): number {
  if (rule === "none") return Math.max((after + payment) / (1 + rate.value), 0);
  const reaches = (amount: number) => amount + rowInterest(amount, rate, rule) - payment >= after;
  let amount = Math.max(Math.floor((after + payment) / (1 + rate.value)), 0);
  while (!reaches(amount)) amount += 1;
  while (amount > 0 && reaches(amount - 1)) amount -= 1;
  return amount;
}
