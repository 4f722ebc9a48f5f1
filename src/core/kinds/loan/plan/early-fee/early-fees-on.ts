import { NO_RATE, type PeriodRate } from "../../../../interest";
import { interestLeft, type Repaid } from "../accrual";
import { extraOn } from "../extras";
import { isFault, type Loan, type PaymentRow, plannedPayment, repay } from "../repay";
import { type EarlyFee, earlyFeeOf } from "./early-fee";

/** A loan's table with money that comes early. */
type WithEarlyMoney = Pick<Repaid, "loan" | "rows"> & {
  /** What was solved for at its end: less than at its start where money has lowered the payments. */
  solved: number;
};

/**
 * What all charges for early money of a table come to.
 *
 * @param fees as the plan agrees on them
 * @param repaid the table with the money that comes early
 * @param planned what the plan alone comes to: its interest still to come may be the most of a charge
 * @returns minor units
 */
export function earlyFeesOn(
  fees: readonly EarlyFee[],
  { loan, rows, solved }: WithEarlyMoney,
  planned: Repaid,
): number {
  if (fees.length === 0) return 0;
  const rates = ratesOf(loan);
  let sum = 0;
  rows.forEach((row, index) => {
    const principal = earlyPrincipal(loan, solved, row);
    if (principal <= 0) return;
    const isOnDay = row.kind !== "extra" || isAfterPayment(rows, index);
    const after = isOnDay ? row.number : row.number - 1;
    sum += earlyFeeOf(fees, {
      after,
      isOnDay,
      principal,
      rate: rates[after] ?? loan.draft.balloonRate ?? NO_RATE,
      interestLeft: interestLeft(planned, after, isOnDay || row.date === null ? undefined : row.date),
      isPayoff: row.kind === "extra" && row.balance === 0,
    });
  });
  return sum;
}

/** What a plan's own early money is charged with, in minor units. */
export function earlyFeesOf(fees: readonly EarlyFee[], loan: Loan): number {
  if (fees.every(({ on }) => on !== "anyEarlyMoney")) return 0;
  const rows: PaymentRow[] = [];
  const repaid = repay(loan, rows);
  if (isFault(repaid)) return 0;
  const { solved, finalDate } = repaid;
  return earlyFeesOn(fees, { loan, rows, solved }, { loan, rows, finalDate, isListed: false });
}

/** What of a line's principal comes early: all of an extra, and of a payment what is paid on top. */
function earlyPrincipal(loan: Loan, solved: number, row: PaymentRow): number {
  if (row.kind === "extra") return row.principal;
  const extra = row.kind === "balloon" ? 0 : extraOn(loan.each, row.number);
  if (extra === 0 || row.balance > 0) return Math.min(extra, row.payment);
  // The payment that ends the loan takes no more than is owed.
  const run = runOf(loan, row.number);
  const own = run && plannedPayment(run.pay, { ...loan, solved, each: [] }, row.number);
  const asked = own ? own.each + (own.withInterest ? row.interest : 0) : row.payment;
  return Math.min(extra, Math.max(row.payment - asked, 0));
}

function runOf({ draft }: Loan, number: number) {
  let last = 0;
  return draft.runs.find(({ count }) => {
    last += count;
    return number <= last;
  });
}

/** Whether a line stands after the payment of its date, so that it comes on that day. */
const isAfterPayment = (rows: readonly PaymentRow[], index: number): boolean =>
  rows[index - 1]?.number === rows[index]?.number &&
  (rows[index - 1]?.kind !== "extra" || isAfterPayment(rows, index - 1));

/** The rate of each period, in order. */
const ratesOf = ({ draft }: Loan): PeriodRate[] =>
  draft.runs.flatMap(({ count, rate }) => Array.from({ length: count }, () => rate));
