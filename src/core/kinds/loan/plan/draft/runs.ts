import { LEVEL_PAY, type Pay, type Run } from "../../../../annuity";
import type { Calendar } from "./draft";
import { periodRates } from "./period-rates";

/** Level payments on every date of a calendar, as few runs as its rates allow. */
export function levelRuns(calendar: Calendar): Run[] {
  return periodRates(calendar).map(({ rate, count }) => ({ count, rate, pay: LEVEL_PAY }));
}

/**
 * Changes what is paid on some payment dates, splitting the runs where the change begins and ends.
 *
 * @param runs the payments in order
 * @param applies whether payment date k (from 1) changes
 * @param change the new pay from the old
 */
export function changeDates(
  runs: readonly Run[],
  applies: (number: number) => boolean,
  change: (pay: Pay) => Pay,
): Run[] {
  const changed: Run[] = [];
  let number = 1;
  for (const run of runs) {
    const changedPay = change(run.pay);
    let open: Run | undefined;
    for (const end = number + run.count; number < end; number++) {
      const pay = applies(number) ? changedPay : run.pay;
      if (open?.pay === pay) open.count += 1;
      else {
        open = { ...run, count: 1, pay };
        changed.push(open);
      }
    }
  }
  return changed;
}

/** Changes what is paid on the payment dates from one to another, both counted from 1. */
export function changePay(runs: readonly Run[], from: number, to: number, change: (pay: Pay) => Pay): Run[] {
  return changeDates(runs, number => number >= from && number <= to, change);
}

/** The runs from a payment date on, which is counted from 1. */
export function runsFrom(runs: readonly Run[], from: number): Run[] {
  let last = 0;
  return runs.flatMap(run => {
    last += run.count;
    const count = Math.min(last - from + 1, run.count);
    return count > 0 ? [{ ...run, count }] : [];
  });
}

/** How many payment dates runs have. */
export function countDates(runs: readonly Run[]): number {
  return runs.reduce((sum, { count }) => sum + count, 0);
}
