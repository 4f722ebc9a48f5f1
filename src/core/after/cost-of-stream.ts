import { type Frequency, monthsAndDaysBetween, periodsBetween, periodsPerYear } from "../calendar";
import { FEWEST_IN_STREAM } from "../limits";
import { type PaymentRow, repay } from "../plans/loan";
import { machineOf, type Summary } from "../quote";
import { oddDaysInYears, rateOfStream, type Stream, type Stretch } from "../yield";
import { chargeColumn } from "./charge-column";

/** What a deal's credit costs as a yearly rate; percent a year. */
export type CostOfCredit = {
  /** By the actuarial method of US Regulation Z, Appendix J. */
  apr: number;
  /** By the annex of the EU's consumer credit directives. */
  effectiveRate: number;
};

/**
 * The yearly rates of an answered deal whose payments come period by period; undefined where only the general equations
 * can tell, amount by amount.
 *
 * @param quote an answered deal
 * @returns percent a year
 * @example costOfStream(plainQuote).apr.toFixed(2) // "6.00"
 */
export function costOfStream(quote: Summary): CostOfCredit | undefined {
  const solved = solvedStream(quote);
  if (!solved) return undefined;
  const { apr, perYear, advance, payments, unitPeriods } = solved;
  const years = firstYears(quote);
  // Where the first period is whole both equations are one.
  const isOne =
    unitPeriods.firstPart === 0 && years.firstPeriods + years.firstPart === unitPeriods.firstPeriods;
  const effective = isOne ? apr : rateOfStream({ advance, payments, ...years }, "compound", apr);
  if (effective === undefined) return undefined;
  const effectiveRate = 100 * Math.expm1(perYear * Math.log1p(effective));
  return { apr: apr * perYear * 100, effectiveRate };
}

/**
 * The APR alone of an answered deal whose payments come period by period; undefined where {@link costOfStream} is.
 *
 * @returns percent a year
 * @example aprOfStream(plainQuote).toFixed(2) // "6.00"
 */
export function aprOfStream(quote: Summary): number | undefined {
  const solved = solvedStream(quote);
  return solved && solved.apr * solved.perYear * 100;
}

/** A deal's stream with the rate of a unit period that it is worth its advance at. */
function solvedStream(quote: Summary) {
  const { frequency } = quote.filled.plan;
  const perYear = periodsPerYear(frequency);
  const payments = stretchesOf(quote);
  if (!payments) return undefined;
  const advance = quote.amountFinanced;
  const unitPeriods = firstUnitPeriods(quote);
  const guess = Number(quote.yearlyRate) / 100 / perYear;
  const apr = rateOfStream({ advance, payments, ...unitPeriods }, "simple", guess);
  const isEven = quote.startDate === null || frequency !== "twiceAMonth";
  return apr === undefined || !isEven ? undefined : { apr, perYear, advance, payments, unitPeriods };
}

/**
 * A deal's payments in stretches, where they are one period of the plan apart and this is the unit period;
 * undefined where extras or listed dates come between, or where another period could be the common one.
 */
function stretchesOf(quote: Summary): Stretch[] | undefined {
  if (quote.isListed || hasDatedExtras(quote)) return undefined;
  if (quote.charges === undefined && paysLevel(quote) && quote.payment > 0) {
    return quote.payments < FEWEST_IN_STREAM ? undefined : levelStretches(quote);
  }
  const rows = scheduleOf(quote);
  return stepsByOnePeriod(rows) ? stretchesOfRows(rows) : undefined;
}

/** Whether every payment but the last is the level one, so that the totals say what the table holds. */
function paysLevel(quote: Summary): boolean {
  const { isLevel, extraEach, payments, payment, finalPayment, balloon, totalOfPayments } = quote;
  return isLevel && extraEach === 0 && (payments - 1) * payment + finalPayment + balloon === totalOfPayments;
}

function hasDatedExtras({ filled: { plan } }: Summary): boolean {
  const { yearly, once = [] } = plan.extra ?? {};
  return yearly !== undefined || once.length > 0;
}

/** A balloon falls together with the last payment, or one period after it where payments are in advance. */
function levelStretches({ payment, payments, finalPayment, balloon, filled }: Summary): Stretch[] {
  const withLast = filled.plan.timing === "advance" ? 0 : balloon;
  const stretches = [
    { amount: payment, count: payments - 1 },
    { amount: finalPayment + withLast, count: 1 },
    { amount: balloon - withLast, count: 1 },
  ];
  // One of nothing takes its time too: in advance the balloon comes a period after a last payment of nothing.
  return stretches.filter(({ count }) => count > 0);
}

function stretchesOfRows(rows: readonly PaymentRow[]): Stretch[] {
  const stretches: Stretch[] = [];
  let number = 0;
  for (const row of rows) {
    const last = stretches.at(-1);
    if (last && row.number === number) {
      // A balloon together with the last payment.
      last.count -= 1;
      stretches.push({ amount: last.amount + row.payment, count: 1 });
    } else if (last?.amount === row.payment) last.count += 1;
    else stretches.push({ amount: row.payment, count: 1 });
    number = row.number;
  }
  return stretches.filter(({ count }) => count > 0);
}

/**
 * The lines of the repayment table, made again where only the totals were, with what falls with payments and counts in
 * the finance charge.
 */
export function scheduleOf(quote: Summary): PaymentRow[] {
  const rows: PaymentRow[] = [];
  repay(machineOf(quote).loan, rows);
  if (quote.charges === undefined) return rows;
  const charges = chargeColumn(rows, quote.charges.inFinanceCharge);
  return rows.map((row, index) => ({ ...row, payment: row.payment + (charges[index] ?? 0) }));
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
function firstUnitPeriods(quote: Summary): Pick<Stream, "firstPeriods" | "firstPart"> {
  const { startDate, firstDate } = quote;
  const { frequency, timing } = quote.filled.plan;
  if (startDate === null || firstDate === null || isRegularFirst(quote)) return regularFirst(timing);
  const { numerator, denominator } = periodsBetween(frequency, startDate, firstDate).periods;
  const firstPeriods = Math.floor(numerator / denominator);
  return { firstPeriods, firstPart: numerator / denominator - firstPeriods };
}

/** The first period in years, as the EU's annex counts it, times the periods of a year. */
function firstYears({ startDate, firstDate, filled }: Summary): Pick<Stream, "firstPeriods" | "firstPart"> {
  const { frequency, timing } = filled.plan;
  if (startDate === null || firstDate === null) return regularFirst(timing);
  return {
    firstPeriods: 0,
    firstPart: yearsBetween(frequency, startDate, firstDate) * periodsPerYear(frequency),
  };
}

/** Half months are of different lengths; every other regular period is one period however it is counted. */
function isRegularFirst({ oddFirstPeriod, filled }: Summary): boolean {
  return oddFirstPeriod === null && filled.plan.frequency !== "twiceAMonth";
}

function yearsBetween(frequency: Frequency, start: number, date: number): number {
  if (frequency === "weekly" || frequency === "everyTwoWeeks") {
    const days = (date - start) % 7;
    return (date - start - days) / 7 / 52 + oddDaysInYears(start, days);
  }
  const { months, days } = monthsAndDaysBetween(start, date);
  return months / 12 + oddDaysInYears(start, days);
}

function regularFirst(timing: "arrears" | "advance" | undefined): Pick<Stream, "firstPeriods" | "firstPart"> {
  return { firstPeriods: timing === "advance" ? 0 : 1, firstPart: 0 };
}
