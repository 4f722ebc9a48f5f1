import { type Frequency, monthsAndDaysBetween, periodsBetween, periodsPerYear } from "../calendar";
import { flatCharge, flatTrueRate, type PaymentRow } from "../loan";
import { type Result, success } from "../result";
import {
  annualPercentageRate,
  effectiveAnnualRate,
  oddDaysInYears,
  rateOfStream,
  type Stream,
  type Transaction,
} from "../yield";
import type { Quote } from "./quote";

/** What a deal's credit costs as a yearly rate; percent a year. */
export type CostOfCredit = {
  /** By the actuarial method of US Regulation Z, Appendix J. */
  apr: number;
  /** By the annex of the EU's consumer credit directives. */
  effectiveRate: number;
  /** The nominal rate that a flat-rate loan really has. */
  trueYearlyRate?: number;
};

/**
 * The yearly rates that an answered deal comes to, on the payments of its table, the adjusted last one too.
 *
 * A charge paid at signing is taken off what is lent. Without dates every period counts as a regular one.
 *
 * @param quote an answered deal
 * @returns percent a year, or a failure where the payments allow no rate
 * @example
 * // 10,000.00 over 12 months at 6 %, 200.00 of charges paid at signing
 * costOfCredit(quote) // apr: 9.8…
 */
export function costOfCredit(quote: Quote): Result<CostOfCredit> {
  const { start, frequency } = quote.terms.draft.calendar;
  const stream = streamOf(quote);
  const perYear = periodsPerYear(frequency);
  const apr = stream && rateOfStream({ ...stream, ...firstUnitPeriods(quote) }, "simple");
  const isEven = start === null || frequency !== "twiceAMonth";
  const effective = stream && isEven && rateOfStream({ ...stream, ...firstYears(quote) }, "compound");
  const trueYearlyRate = trueRateOf(quote);
  const flat = trueYearlyRate === undefined ? {} : { trueYearlyRate };
  if (apr !== undefined && effective !== undefined && effective !== false) {
    const effectiveRate = 100 * Math.expm1(perYear * Math.log1p(effective));
    return success({ apr: apr * perYear * 100, effectiveRate, ...flat });
  }
  const rates = ratesByDate(transactionOf(quote));
  return rates.ok ? success({ ...rates.value, ...flat }) : rates;
}

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
 * Without dates its periods count from day 0 as regular ones, which only a deal of evenly spaced payments can do
 * without.
 */
export function transactionOf(quote: Quote): Transaction {
  const start = quote.terms.draft.calendar.start ?? 0;
  const payments = quote.schedule
    .filter(({ payment }) => payment > 0)
    .map(({ date, payment }) => ({ date: date ?? start, amount: payment }));
  return { advances: [{ date: start, amount: netAdvance(quote) }], payments };
}

/** What the customer has the use of: the amount financed less a charge paid at signing. */
export function netAdvance({ amountFinanced, deal }: Quote): number {
  return amountFinanced - (deal.plan.prepaidCharge ?? 0);
}

/**
 * A deal's payments where they are one period of the plan apart, so that this is the unit period; undefined where
 * extras or listed dates come between, or where so few are paid that another period could be the common one.
 */
function streamOf(quote: Quote): Pick<Stream, "advance" | "payments"> | undefined {
  const { schedule, terms } = quote;
  const hasDates = terms.draft.calendar.start !== null;
  if (terms.isListed || schedule.some(({ kind }) => kind === "extra")) return undefined;
  if (hasDates && !stepsByOnePeriod(schedule)) return undefined;
  const payments: number[] = [];
  for (const { number, payment } of schedule) payments[number - 1] = (payments[number - 1] ?? 0) + payment;
  return { advance: netAdvance(quote), payments };
}

/** Whether the plan's own period is the commonest between two payments, and occurs more than once. */
function stepsByOnePeriod(schedule: readonly PaymentRow[]): boolean {
  const numbers = schedule.filter(({ payment, kind }) => payment > 0 && kind !== "balloon");
  let [single, wider] = [0, 0];
  for (let index = 1; index < numbers.length; index++) {
    const gap = (numbers[index]?.number ?? 0) - (numbers[index - 1]?.number ?? 0);
    if (gap === 1) single += 1;
    else wider += 1;
  }
  return single > 1 && single >= wider;
}

/** The first period in unit periods, as Appendix J counts it. */
function firstUnitPeriods({ terms, firstDate }: Quote): Pick<Stream, "firstPeriods" | "firstPart"> {
  const { start, frequency, timing } = terms.draft.calendar;
  if (start === null || firstDate === null) return regularFirst(timing);
  const { numerator, denominator } = periodsBetween(frequency, start, firstDate).periods;
  const firstPeriods = Math.floor(numerator / denominator);
  return { firstPeriods, firstPart: numerator / denominator - firstPeriods };
}

/** The first period in years, as the EU's annex counts it, times the periods of a year. */
function firstYears({ terms, firstDate }: Quote): Pick<Stream, "firstPeriods" | "firstPart"> {
  const { start, frequency, timing } = terms.draft.calendar;
  if (start === null || firstDate === null) return regularFirst(timing);
  return {
    firstPeriods: 0,
    firstPart: yearsBetween(frequency, start, firstDate) * periodsPerYear(frequency),
  };
}

function yearsBetween(frequency: Frequency, start: number, date: number): number {
  if (frequency === "weekly" || frequency === "everyTwoWeeks") {
    const days = (date - start) % 7;
    return (date - start - days) / 7 / 52 + oddDaysInYears(start, days);
  }
  const { months, days } = monthsAndDaysBetween(start, date);
  return months / 12 + oddDaysInYears(start, days);
}

function regularFirst(timing: "arrears" | "advance"): Pick<Stream, "firstPeriods" | "firstPart"> {
  return { firstPeriods: timing === "advance" ? 0 : 1, firstPart: 0 };
}

function trueRateOf({ terms, loan }: Quote): number | undefined {
  const { draft } = terms;
  if (!draft.flat) return undefined;
  const charge = flatCharge(loan.amount, draft.calendar);
  const { value } = flatTrueRate(loan.amount, charge, draft.payments);
  return value * periodsPerYear(draft.calendar.frequency) * 100;
}
