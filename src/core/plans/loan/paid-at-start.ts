import { isFault, type Loan, type PaymentRow, repay } from "./repay";

/**
 * What is paid of a loan on the day that the money is lent: the first payment in advance, and extras of that day.
 *
 * @param loan ready to be repaid
 * @returns minor units
 * @example paidAtStart(loan) // 0
 */
export function paidAtStart(loan: Loan): number {
  const { start, timing, dateOf } = loan.draft.calendar;
  const isFirst = timing === "advance" || (start !== null && dateOf(1) === start);
  if (!isFirst && (start === null || loan.extras[0]?.date !== start)) return 0;
  const rows: PaymentRow[] = [];
  if (isFault(repay(loan, rows))) return 0;
  let sum = 0;
  for (const { date, kind, number, payment } of rows)
    if (date === start && (start !== null || (number === 1 && kind !== "balloon"))) sum += payment;
  return sum;
}
