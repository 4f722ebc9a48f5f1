import type { DayNumber } from "../calendar";
import { interestCharger, type PeriodRate } from "../interest";

/** One line of a repayment table; money in minor units. */
export type PaymentRow = {
  /** 1 for the first payment. */
  number: number;
  /** Day number, or null where the deal has no dates. */
  date: DayNumber | null;
  payment: number;
  interest: number;
  principal: number;
  /** What is still owed after the payment. */
  balance: number;
};

/** A loan ready to be repaid: everything in minor units and exact fractions. */
export type LevelLoan = {
  /** Minor units, above zero. */
  amount: number;
  rate: PeriodRate;
  payments: number;
  /** The rounded level payment. */
  payment: number;
  /** Rate of the first period, which may be longer or shorter than the others. */
  firstRate: PeriodRate;
  /** The date of payment k (from 1), or null. */
  dateOf: (number: number) => DayNumber | null;
};

/** Balances past this are no longer exact integers; a loan that grows so far is not being repaid. */
const LARGEST_BALANCE = 2 ** 50;

/**
 * Splits each payment of a level loan into interest and principal.
 *
 * Interest is rounded half up to the minor unit. The last payment is the balance with its interest, so the
 * balance ends at exactly zero; where a payment rounded up clears the loan sooner, the table ends there.
 *
 * @returns the rows, or `undefined` where rounding makes the balance grow without end
 * @example repaymentTable({ amount: 100, rate: { numerator: 0, denominator: 1 }, payments: 3, payment: 33,
 *   firstRate: { numerator: 0, denominator: 1 }, dateOf: () => null }).at(-1)?.payment // 34
 */
export function repaymentTable(loan: LevelLoan): PaymentRow[] | undefined {
  const { payments, payment: level, dateOf } = loan;
  const regularInterest = interestCharger(loan.rate);
  const rows: PaymentRow[] = [];
  let balance = loan.amount;
  let interest = interestCharger(loan.firstRate)(balance);
  for (let number = 1; ; number++) {
    const due = balance + interest;
    const last = number === payments || due <= level;
    const payment = last ? due : level;
    const principal = payment - interest;
    balance -= principal;
    rows.push({ number, date: dateOf(number), payment, interest, principal, balance });
    if (last) return rows;
    if (balance > LARGEST_BALANCE) return undefined;
    interest = regularInterest(balance);
  }
}
