import { addMonths, type DayNumber, monthsAndDaysBetween, periodsPerYear } from "../calendar";
import type { LeaseQuote } from "../kinds/lease";
import type { Quote } from "../kinds/loan/quote";
import { chargeColumn } from "../structure/charge-column";

/** What a customer has paid and still owes after some line of a table, in minor units. */
export type MoneyAt = {
  /** After signing; a part of a month by its days. */
  months: number;
  date: DayNumber | null;
  /** What has left the customer's pocket: at signing, with payments, and what falls with them. */
  paid: number;
  /** Of a lease: what the vehicle stands for. */
  owed: number;
};

const DAYS_A_MONTH = 30;

/**
 * What is paid so far and still owed, from signing to the end. A lease ends with the vehicle handed back: its deposit
 * comes back, and its fee at the end is paid.
 *
 * @param quote an answered deal with its table
 * @returns a point at signing, then one for each line of the table after it, in order
 * @example moneyOverTime(quote).at(-1)?.owed // 0
 */
export function moneyOverTime(quote: Quote | LeaseQuote): MoneyAt[] {
  return quote.kind === "lease" ? ofLease(quote) : ofLoan(quote);
}

/**
 * What is paid so far and still owed so many months after signing: after the payments of that day.
 *
 * @param points of {@link moneyOverTime}
 * @param months whole months
 * @example moneyAfter(moneyOverTime(quote), 36).owed // 2231957
 */
export function moneyAfter(points: readonly MoneyAt[], months: number): MoneyAt {
  const start = points[0]?.date ?? null;
  const day = start === null ? null : addMonths(start, months);
  const isReached = (point: MoneyAt) =>
    day === null || point.date === null ? point.months <= months : point.date <= day;
  return points.findLast(isReached) ?? (points[0] as MoneyAt);
}

function ofLoan(quote: Quote): MoneyAt[] {
  const { schedule, startDate, filled, dueAtSigning, loanAmount } = quote;
  const { timing, frequency } = filled.plan;
  const charges = quote.charges && chargeColumn(schedule, quote.charges.all);
  const monthsAPeriod = 12 / periodsPerYear(frequency);
  const isAtSigning = ({ date, number, kind }: Quote["schedule"][number]) =>
    startDate === null ? timing === "advance" && number === 1 && kind !== "balloon" : date === startDate;
  const first: MoneyAt = { months: 0, date: startDate, paid: dueAtSigning.total, owed: loanAmount };
  const points = [first];
  let { paid } = first;
  for (const [index, row] of schedule.entries()) {
    if (isAtSigning(row)) {
      first.owed = row.balance;
      continue;
    }
    paid += row.payment + (charges?.[index] ?? 0);
    const periods = timing === "advance" && row.kind !== "balloon" ? row.number - 1 : row.number;
    const months = monthsTo(row.date, startDate) ?? periods * monthsAPeriod;
    points.push({ months, date: row.date, paid, owed: row.balance });
  }
  return points;
}

function ofLease(quote: LeaseQuote): MoneyAt[] {
  const { schedule, startDate, filled, dueAtSigning, cost, totalIfReturned, equity } = quote;
  const monthsAPeriod = 12 / periodsPerYear(filled.plan.frequency);
  const first: MoneyAt = { months: 0, date: startDate, paid: dueAtSigning.total, owed: cost };
  const points = [first];
  let { paid } = first;
  for (const { kind, date, period, payment, balance } of schedule) {
    if (kind === "atSigning") {
      first.owed = balance;
      continue;
    }
    paid += payment;
    points.push({ months: monthsTo(date, startDate) ?? period * monthsAPeriod, date, paid, owed: balance });
  }
  const last = points.at(-1) as MoneyAt;
  last.paid = totalIfReturned - equity;
  return points;
}

function monthsTo(date: DayNumber | null, start: DayNumber | null): number | undefined {
  if (date === null || start === null) return undefined;
  const { months, days } = monthsAndDaysBetween(start, date);
  return months + days / DAYS_A_MONTH;
}
