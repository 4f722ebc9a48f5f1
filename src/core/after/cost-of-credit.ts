import { type DayNumber, dayNumber, periodStepper } from "../calendar";
import type { Summary } from "../quote";
import { type Result, success } from "../result";
import { annualPercentageRate, effectiveAnnualRate, type Transaction } from "../yield";
import { type CostOfCredit, costOfStream, scheduleOf } from "./cost-of-stream";

/**
 * The yearly rates that an answered deal comes to, on the payments of its table, the adjusted last one too.
 *
 * A charge paid at signing is taken off what is lent. Without dates every period counts as a regular one.
 *
 * @param quote an answered deal
 * @returns percent a year, or a failure where the payments allow no rate
 * @example
 * // 10,000.00 over 12 months at 6 %
 * costOfCredit(plainQuote).value.apr.toFixed(2) // "6.00"
 */
export function costOfCredit(quote: Summary): Result<CostOfCredit> {
  const cost = costOfStream(quote);
  return cost ? success(cost) : ratesByDate(transactionOf(quote));
}

/** Where periods are counted from without dates: a day that every month has, 365 days after the year before. */
const SOME_START: DayNumber = dayNumber(2003, 1, 1);

/** The general equations, amount by amount. */
function ratesByDate(transaction: Transaction): Result<CostOfCredit> {
  const apr = annualPercentageRate(transaction);
  if (!apr.ok) return apr;
  const effective = effectiveAnnualRate(transaction);
  if (!effective.ok) return effective;
  return success({ apr: apr.value.percent, effectiveRate: effective.value });
}

/**
 * What a deal lends and what is paid for it, date by date.
 *
 * Without dates its periods are regular ones from a first of January on.
 */
export function transactionOf(quote: Summary): Transaction {
  const { frequency, timing } = quote.filled.plan;
  const start = quote.startDate ?? SOME_START;
  const dateOf = periodStepper(frequency, start);
  const payments = scheduleOf(quote)
    .filter(({ payment }) => payment > 0)
    .map(({ date, number, payment }) => ({
      date: date ?? dateOf(timing === "advance" ? number - 1 : number),
      amount: payment,
    }));
  return { advances: [{ date: start, amount: quote.amountFinanced }], payments };
}
