import { type DayNumber, isoDate } from "../../calendar";
import { type LoanQuote, machineOf } from "../../kinds/loan/quote";
import { failure, type Result, success } from "../../result";
import { accrualAfter } from "./accrual";
import { type Refund, refundsAfter } from "./refunds";

/** What ends a loan early, in minor units. */
export type Payoff = {
  /** How many payment dates have passed, each with its payment made. */
  afterPayment: number;
  date: DayNumber | null;
  /** What is owed without interest since the last payment. */
  balance: number;
  /** Interest since the last payment. */
  interest: number;
  /** Balance and interest together. */
  payoff: number;
  /** What each further day adds until the next payment, not rounded; null without dates. */
  perDay: number | null;
  /** For a flat-rate loan: what each way of refunding the charge makes of it. */
  refunds?: Refund[];
};

/**
 * What ends a loan right after one of its payments, extras of that day made too. A balloon that falls on the
 * last payment is still owed.
 *
 * The balance is the table's: the rounding of each row bears interest, so that a formula would be off by cents.
 *
 * @param quote an answered deal
 * @param after number of the payment; 0 for the start
 * @returns amounts in minor units, or a failure for a payment that is not the loan's
 * @example payoffAfter(quote, 36) // { ok: true, value: { payoff: 2231957, … } }
 */
export function payoffAfter(quote: LoanQuote, after: number): Result<Payoff> {
  const { payments } = quote;
  if (!Number.isInteger(after) || after < 0 || after > payments) {
    return failure(
      "payoff",
      `Payment ${after} is none of this loan's; it can be 0, for the start, to ${payments}.`,
    );
  }
  const { start, dateOf } = machineOf(quote).loan.draft.calendar;
  return success(payoffAt(quote, after, after === 0 ? start : dateOf(after)));
}

/**
 * What ends a loan on a date, with interest up to it. Payments due on or before the date are taken as made.
 *
 * Interest since the last payment counts as the plan counts time; over equal periods the next period's interest
 * is shared out over its days.
 *
 * @param quote an answered deal with dates
 * @param date day number, from the start of the loan to its end
 * @returns amounts in minor units, or a failure for a date outside the loan
 */
export function payoffOn(quote: LoanQuote, date: DayNumber): Result<Payoff> {
  const { start, dateOf } = machineOf(quote).loan.draft.calendar;
  const end = quote.finalDate;
  if (start === null || end === null) {
    return failure("payoff", "A payoff on a date needs the contract date; give it, or a payment's number.");
  }
  if (date < start || date > end) {
    return failure(
      "payoff",
      `${isoDate(date)} lies outside this loan; it can be from ${isoDate(start)} to ${isoDate(end)}.`,
    );
  }
  let after = 0;
  while (after < quote.payments && (dateOf(after + 1) ?? end) <= date) after += 1;
  return success(payoffAt(quote, after, date));
}

function payoffAt(quote: LoanQuote, after: number, date: DayNumber | null): Payoff {
  const { schedule } = quote;
  const { loan } = machineOf(quote);
  const { flat } = loan.draft;
  const start = owedAfter(quote, after);
  const accrual = accrualAfter(quote, after);
  const on = date ?? accrual.from;
  const extras = schedule.filter(
    row => row.kind === "extra" && row.number === after + 1 && (row.date ?? on) <= on,
  );
  const balance = extras.at(-1)?.balance ?? start;
  const interest = on > accrual.from ? accrual.interest(start, on, extras) : 0;
  return {
    afterPayment: after,
    date,
    balance,
    interest,
    payoff: balance + interest,
    perDay: date === null ? null : balance === 0 ? 0 : accrual.perDay(balance, on),
    ...(flat && { refunds: refundsAfter(loan, flat, after, accrual.share(on)) }),
  };
}

/** What is owed after a payment date, extras of that day included, a balloon still to pay. */
function owedAfter({ loanAmount, schedule }: LoanQuote, after: number): number {
  const row = schedule.findLast(({ number, kind }) => number <= after && kind !== "balloon");
  return row?.balance ?? loanAmount;
}
