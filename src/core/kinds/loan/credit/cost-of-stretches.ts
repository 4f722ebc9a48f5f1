import { type Frequency, monthsAndDaysBetween, periodsBetween, periodsPerYear } from "../../../calendar";
import { oddDaysInYears, rateOfStream, type Stream, type Stretch } from "../../../yield";
import type { LoanSummary } from "../quote";

/** What a deal's credit costs as a yearly rate; percent a year. */
export type CostOfCredit = {
  /** By the actuarial method of US Regulation Z, Appendix J. */
  apr: number;
  /** By the annex of the EU's consumer credit directives. */
  effectiveRate: number;
};

/** What of a deal says how its payments count: how often they fall, when the first does, and what they repay. */
export type StreamOf = Pick<
  LoanSummary,
  "amountFinanced" | "yearlyRate" | "startDate" | "firstDate" | "oddFirstPeriod"
> & { filled: { plan: Pick<LoanSummary["filled"]["plan"], "frequency" | "timing"> } };

/**
 * The yearly rates of an answered deal by its payments in stretches; undefined where only the general equations can tell,
 * amount by amount.
 *
 * @param payments one period of the plan apart, in minor units, with what falls with them and counts in the finance charge
 * @returns percent a year
 */
export function costOfStretches(quote: LoanSummary, payments: Stretch[]): CostOfCredit | undefined {
  const solved = solvedStream(quote, payments);
  if (!solved) return undefined;
  const { apr, perYear, advance, unitPeriods } = solved;
  const years = firstYears(quote);
  // Where the first period is whole both equations are one.
  const isOne =
    unitPeriods.firstPart === 0 && years.firstPeriods + years.firstPart === unitPeriods.firstPeriods;
  const effective = isOne ? apr : rateOfStream({ advance, payments, ...years }, "compound", apr);
  if (effective === undefined) return undefined;
  const effectiveRate = 100 * Math.expm1(perYear * Math.log1p(effective));
  return { apr: apr * perYear * 100, effectiveRate };
}

/** The APR alone; undefined where {@link costOfStretches} is. */
export function aprOfStretches(quote: StreamOf, payments: Stretch[]): number | undefined {
  const solved = solvedStream(quote, payments);
  return solved && solved.apr * solved.perYear * 100;
}

/** A deal's stream with the rate of a unit period that it is worth its advance at. */
function solvedStream(quote: StreamOf, payments: Stretch[]) {
  const { frequency } = quote.filled.plan;
  const perYear = periodsPerYear(frequency);
  const advance = quote.amountFinanced;
  const unitPeriods = firstUnitPeriods(quote);
  const guess = Number(quote.yearlyRate) / 100 / perYear;
  const apr = rateOfStream({ advance, payments, ...unitPeriods }, "simple", guess);
  const isEven = quote.startDate === null || frequency !== "twiceAMonth";
  return apr === undefined || !isEven ? undefined : { apr, perYear, advance, unitPeriods };
}

/** The first period in unit periods, as Appendix J counts it. */
function firstUnitPeriods(quote: StreamOf): Pick<Stream, "firstPeriods" | "firstPart"> {
  const { startDate, firstDate } = quote;
  const { frequency, timing } = quote.filled.plan;
  if (startDate === null || firstDate === null || isRegularFirst(quote)) return regularFirst(timing);
  const { numerator, denominator } = periodsBetween(frequency, startDate, firstDate).periods;
  const firstPeriods = Math.floor(numerator / denominator);
  return { firstPeriods, firstPart: numerator / denominator - firstPeriods };
}

/** The first period in years, as the EU's annex counts it, times the periods of a year. */
function firstYears({
  startDate,
  firstDate,
  filled,
}: LoanSummary): Pick<Stream, "firstPeriods" | "firstPart"> {
  const { frequency, timing } = filled.plan;
  if (startDate === null || firstDate === null) return regularFirst(timing);
  return {
    firstPeriods: 0,
    firstPart: yearsBetween(frequency, startDate, firstDate) * periodsPerYear(frequency),
  };
}

/** Half months are of different lengths; every other regular period is one period however it is counted. */
function isRegularFirst({ oddFirstPeriod, filled }: StreamOf): boolean {
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
