import type { Run } from "../../../annuity";
import { type PeriodRate, periodInterest } from "../../../interest";

/**
 * The least that can be owed after each payment date, so that what is owed at the end is not below an agreed amount
 * even where nothing more is paid: rows of interest, rounded as the table rounds them, lead from one to the next.
 *
 * @param runs the payments in order
 * @param end what is to be owed at the end, in minor units
 * @returns minor units, from the start of the loan (0) to its last payment date
 */
export function leastOwed(runs: readonly Run[], end: number): number[] {
  const rates = runs.flatMap(({ count, rate }) => Array.from({ length: count }, () => rate));
  const least = Array.from({ length: rates.length + 1 }, () => end);
  for (let number = rates.length; number > 0; number--) {
    least[number - 1] = leastBefore(least[number] ?? 0, rates[number - 1] as PeriodRate);
  }
  return least;
}

/** The smallest amount that comes to another with one period's interest. */
function leastBefore(after: number, rate: PeriodRate): number {
  const reaches = (amount: number) => amount + periodInterest(amount, rate) >= after;
  let amount = Math.floor(after / (1 + rate.value));
  while (!reaches(amount)) amount += 1;
  while (amount > 0 && reaches(amount - 1)) amount -= 1;
  return amount;
}
