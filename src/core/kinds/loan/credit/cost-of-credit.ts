import { periodStepper, periodsPerYear } from "../../../calendar";
import { type Result, success } from "../../../result";
import {
  annualPercentageRate,
  effectiveAnnualRate,
  effectiveRateOfFlows,
  type Transaction,
  UNDATED_START,
  type YearFlow,
} from "../../../yield";
import type { LoanSummary } from "../quote";
import { costOfStream, scheduleOf } from "./cost-of-stream";
import type { CostOfCredit } from "./cost-of-stretches";

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
export function costOfCredit(quote: LoanSummary): Result<CostOfCredit> {
  const cost = costOfStream(quote);
  return cost ? success(cost) : ratesOf(quote);
}

/** The general equations, amount by amount. */
function ratesOf(quote: LoanSummary): Result<CostOfCredit> {
  const transaction = transactionOf(quote);
  const apr = annualPercentageRate(transaction);
  if (!apr.ok) return apr;
  const effective =
    quote.startDate === null ? effectiveRateOfFlows(flowsOf(quote)) : effectiveAnnualRate(transaction);
  if (!effective.ok) return effective;
  return success({ apr: apr.value.percent, effectiveRate: effective.value });
}

/** The same as {@link transactionOf} in parts of a year, which each period without dates is one of. */
function flowsOf(quote: LoanSummary): YearFlow[] {
  const { frequency, timing } = quote.filled.plan;
  const perYear = periodsPerYear(frequency);
  const payments = scheduleOf(quote).map(({ number, payment }) => ({
    amount: -payment,
    years: (timing === "advance" ? number - 1 : number) / perYear,
  }));
  return [{ amount: quote.amountFinanced, years: 0 }, ...payments.filter(({ amount }) => amount < 0)];
}

/**
 * What a deal lends and what is paid for it, date by date.
 *
 * Without dates its periods are regular ones from a first of January on.
 */
export function transactionOf(quote: LoanSummary): Transaction {
  const { frequency, timing } = quote.filled.plan;
  const start = quote.startDate ?? UNDATED_START;
  const dateOf = periodStepper(frequency, start);
  const payments = scheduleOf(quote)
    .filter(({ payment }) => payment > 0)
    .map(({ date, number, payment }) => ({
      date: date ?? dateOf(timing === "advance" ? number - 1 : number),
      amount: payment,
    }));
  return { advances: [{ date: start, amount: quote.amountFinanced }], payments };
}
