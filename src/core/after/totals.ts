import { civilDate, type DayNumber, isoDate } from "../calendar";
import type { PaymentRow } from "../kinds/loan/plan";
import type { LoanQuote } from "../kinds/loan/quote";
import { failure, type Result, success } from "../result";

/** What some lines of a repayment table come to, in minor units. */
export type Totals = {
  /** How many lines something is paid on. */
  count: number;
  payment: number;
  interest: number;
  principal: number;
  /** What is owed after the last of them. */
  balance: number;
};

/** The totals of one calendar year. */
export type YearTotals = Totals & { year: number };

/**
 * What is paid from one payment to another, both included. Extras count with the payment that they come
 * before, or fall on.
 *
 * @param quote an answered deal
 * @param from number of the first payment, from 1
 * @param to number of the last payment
 * @example
 * // the first year of monthly payments
 * totalsBetweenPayments(quote, 1, 12) // { ok: true, value: { interest: 247284, … } }
 */
export function totalsBetweenPayments(quote: LoanQuote, from: number, to: number): Result<Totals> {
  const last = quote.schedule.at(-1)?.number ?? 1;
  if (!Number.isInteger(from) || !Number.isInteger(to) || from < 1 || to < from || to > last) {
    return failure(
      "totals",
      `Payments ${from} to ${to} are not payments of this loan in order; they can be 1 to ${last}.`,
    );
  }
  return success(totalsOf(quote, ({ number }) => number >= from && number <= to));
}

/**
 * What is paid from one date to another, both included.
 *
 * @param from day number
 * @param to day number
 */
export function totalsBetweenDates(quote: LoanQuote, from: DayNumber, to: DayNumber): Result<Totals> {
  if (quote.firstDate === null) return withoutDates();
  if (to < from) {
    return failure(
      "totals",
      `The date ${isoDate(to)} is before ${isoDate(from)}; give the earlier one first.`,
    );
  }
  return success(totalsOf(quote, ({ date }) => date !== null && date >= from && date <= to));
}

/** What is paid in each calendar year, in order. */
export function totalsByYear(quote: LoanQuote): Result<YearTotals[]> {
  if (quote.firstDate === null) return withoutDates();
  const years = new Map<number, PaymentRow[]>();
  for (const row of quote.schedule) {
    const { year } = civilDate(row.date ?? quote.firstDate);
    const rows = years.get(year) ?? [];
    rows.push(row);
    years.set(year, rows);
  }
  return success([...years].map(([year, rows]) => ({ year, ...totalsOfRows(rows, quote.loanAmount) })));
}

function withoutDates(): Result<never> {
  return failure("totals", "Totals by date need the contract date; give it.");
}

function totalsOf(quote: LoanQuote, counts: (row: PaymentRow) => boolean): Totals {
  const { schedule, loanAmount } = quote;
  const first = schedule.findIndex(counts);
  const before = first < 1 ? loanAmount : (schedule[first - 1]?.balance ?? 0);
  return totalsOfRows(schedule.filter(counts), before);
}

/**
 * What lines of a repayment table come to.
 *
 * @param before what is owed before the first of them, in minor units
 * @example totalsOfRows([], 100).balance // 100
 */
export function totalsOfRows(rows: readonly PaymentRow[], before: number): Totals {
  const sum = (figure: "payment" | "interest" | "principal") =>
    rows.reduce((total, row) => total + row[figure], 0);
  return {
    count: rows.filter(({ payment }) => payment > 0).length,
    payment: sum("payment"),
    interest: sum("interest"),
    principal: sum("principal"),
    balance: rows.at(-1)?.balance ?? before,
  };
}
