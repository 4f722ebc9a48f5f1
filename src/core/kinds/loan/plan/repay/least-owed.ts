import { type PeriodRate, periodInterest } from "../../../../interest";
import type { Loan } from "./loan";
import { type Planned, plannedPayment } from "./planned-payment";

/**
 * The least that can be owed after each payment date, so that what is owed at the end is not below an agreed amount:
 * worked back from the end row by row, as the table rounds them. Agreed amounts are then paid in full, other payments as
 * planned but no more than their interest, and the last one may be nothing.
 *
 * @param loan solved, without extras
 * @param end what is to be owed at the end, in minor units
 * @returns minor units, from the start of the loan (0) to its last payment date
 */
export function leastOwed(loan: Loan, end: number): number[] {
  let number = 0;
  const dates = loan.draft.runs.flatMap(({ count, rate, pay }) => {
    const planned = plannedPayment(pay, loan, number + 1);
    number += count;
    return Array.from({ length: count }, () => ({ rate, planned }));
  });
  const least = Array.from({ length: dates.length + 1 }, () => end);
  for (let number = dates.length; number > 0; number--) {
    const { rate, planned } = dates[number - 1] as (typeof dates)[number];
    const after = least[number] ?? end;
    const isLast = number === dates.length;
    least[number - 1] = isLast ? leastBefore(after, rate, 0) : leastOn(after, rate, planned);
  }
  return least;
}

function leastOn(after: number, rate: PeriodRate, { each, withInterest, isAgreed }: Planned): number {
  if (isAgreed) return leastBefore(after, rate, each);
  // A payment of at least its interest can leave what is owed as it is.
  return withInterest || each >= periodInterest(after, rate) ? after : leastBefore(after, rate, each);
}

/** The smallest amount that with one period's interest, less a payment, comes to another. */
function leastBefore(after: number, rate: PeriodRate, payment: number): number {
  const reaches = (amount: number) => amount + periodInterest(amount, rate) - payment >= after;
  let amount = Math.max(Math.floor((after + payment) / (1 + rate.value)), 0);
  while (!reaches(amount)) amount += 1;
  while (amount > 0 && reaches(amount - 1)) amount -= 1;
  return amount;
}
