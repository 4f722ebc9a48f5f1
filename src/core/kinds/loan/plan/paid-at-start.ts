import { NOTHING_PAID, type PaidThatDay } from "../../../structure";
import { isFault, type Loan, type PaymentRow, repay } from "./repay";

/**
 * What is paid of a loan on the day that the money is lent: the first payment in advance, and extras of that day.
 *
 * @param loan ready to be repaid
 * @returns minor units
 * @example paidAtStart(loan) // { first: null, isOnly: false, extra: 0 }
 */
export function paidAtStart(loan: Loan): PaidThatDay {
  const { start, timing, dateOf } = loan.draft.calendar;
  const isFirst = timing === "advance" || (start !== null && dateOf(1) === start);
  if (!isFirst && (start === null || loan.extras[0]?.date !== start)) return NOTHING_PAID;
  const rows: PaymentRow[] = [];
  const repayment = repay(loan, rows);
  if (isFault(repayment)) return NOTHING_PAID;
  let [first, extra] = [0, 0];
  for (const { date, kind, number, payment } of rows) {
    if (date !== start || (start === null && (number !== 1 || kind === "balloon"))) continue;
    if (kind === "extra") extra += payment;
    else first += payment;
  }
  // With a date on which nothing is paid nothing falls due.
  return { first: first > 0 ? first : null, isOnly: isFirst && repayment.paid === 1, extra };
}
