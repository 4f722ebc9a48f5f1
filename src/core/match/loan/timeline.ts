import { FLOAT, type Pay, PRECISE, type Run, type Worth, worthOf } from "../../annuity";
import {
  type DayNumber,
  periodsBetween,
  periodsPerYear,
  type Ratio,
  stepPeriods,
  yearsBetween,
} from "../../calendar";
import { NO_RATE, type PeriodRate, periodRate, rationalRate, simpleRate } from "../../interest";
import { paymentDates } from "../../kinds/loan";
import type { Basis } from "./basis";
import { leapDaysBetween } from "./leap-days";
import type { LoanWay } from "./loan-way";

/** How interest counts over a loan's life by some conventions, and what its payments are worth by them. */
export type Timeline = {
  /** The rate of the period before each payment date, the first at 0. */
  rates: readonly PeriodRate[];
  /** The same as payments are solved with. */
  solvedRates: readonly PeriodRate[];
  /** A last period before a balloon that falls after the last payment, or null. */
  balloonRate: PeriodRate | null;
  /** When interest begins, and the date of each payment; null without dates. */
  start: DayNumber | null;
  dateOf: (number: number) => DayNumber | null;
  worth: Worth<number>;
  preciseWorth: () => Worth<bigint>;
  /** The rate from one day to a later one of the same period, which is this long. */
  between: (from: DayNumber, to: DayNumber, period: { of: PeriodRate; days: number }) => PeriodRate;
};

type Kept = {
  byKey: Map<string, Timeline | null>;
  last: { of: Conventions; timeline: Timeline | null } | null;
};

const kept = new WeakMap<readonly Pay[], Kept>();

/** What of a way a timeline hangs on. */
type Conventions = Pick<LoanWay, "timing" | "compounding" | "count" | "firstDays" | "interestFrom"> & {
  rounded: LoanWay["rounded"];
  hasBalloon: boolean;
};

const NAMES = [
  "timing",
  "compounding",
  "count",
  "firstDays",
  "interestFrom",
  "rounded",
  "hasBalloon",
] as const satisfies (keyof Conventions)[];

/** The timeline of a way, made once for each plan and each set of conventions; null where it cannot be. */
export function timelineOf(basis: Basis, way: LoanWay): Timeline | null {
  const timelines = kept.get(basis.pays) ?? { byKey: new Map(), last: null };
  kept.set(basis.pays, timelines);
  const { timing, compounding, count, firstDays, interestFrom, rounded } = way;
  const isOfRate = rounded?.what === "rate" || rounded?.what === "rateThroughout";
  const of: Conventions = {
    timing,
    compounding,
    count,
    firstDays,
    interestFrom,
    rounded: isOfRate ? rounded : null,
    hasBalloon: basis.balloon > 0,
  };
  const { last } = timelines;
  // Ways that differ in what comes after follow each other.
  if (last && NAMES.every(name => last.of[name] === of[name])) return last.timeline;
  const key = NAMES.map(name => (name === "rounded" ? JSON.stringify(of.rounded) : of[name])).join(" ");
  const before = timelines.byKey.get(key);
  const timeline = before === undefined ? makeTimeline(basis, way) : before;
  timelines.byKey.set(key, timeline);
  timelines.last = { of, timeline };
  return timeline;
}

type Rates = { rates: PeriodRate[]; regular: PeriodRate | null; balloonRate: PeriodRate | null };

function makeTimeline(basis: Basis, way: LoanWay): Timeline | null {
  const { pays, terms } = basis;
  const plan = { ...basis.deal.plan, timing: way.timing };
  const isMoved = (basis.deal.plan.timing ?? "arrears") !== way.timing;
  const { calendar } = terms.draft;
  const dateOf = terms.isListed
    ? calendar.dateOf
    : isMoved
      ? paymentDates({ ...plan, firstPayment: null, signed: calendar.start })
      : calendar.dateOf;
  const start = way.interestFrom ?? calendar.start;
  const needsDates = way.count !== "equal" || way.interestFrom !== null;
  if (needsDates && (start === null || dateOf(1) === null)) return null;
  const made = withoutWaived(ratesOf(basis, way, start, dateOf), basis);
  if (!made) return null;
  const { rates } = made;
  const ofSolved = solvedRates(basis, way, made, start, dateOf);
  if (!ofSolved) return null;
  const isThroughout = way.rounded?.what === "rateThroughout";
  const rowRates = isThroughout ? ofSolved.rates : rates;
  const runs = runsOf(pays, ofSolved.rates);
  let precise: Worth<bigint> | undefined;
  return {
    rates: rowRates,
    solvedRates: ofSolved.rates,
    balloonRate: made.balloonRate,
    start,
    dateOf,
    worth: worthOf(runs, made.balloonRate, FLOAT),
    preciseWorth: () => {
      precise ??= worthOf(runs, made.balloonRate, PRECISE);
      return precise;
    },
    between: betweenOf(basis, way),
  };
}

/** Payments in a row with one rate, on which the same is paid. */
function runsOf(pays: readonly Pay[], rates: readonly PeriodRate[]): Run[] {
  const runs: Run[] = [];
  for (const [index, pay] of pays.entries()) {
    const rate = rates[index] ?? NO_RATE;
    const last = runs.at(-1);
    if (last && last.rate === rate && last.pay === pay) last.count += 1;
    else runs.push({ count: 1, rate, pay });
  }
  return runs;
}

function withoutWaived(made: Rates | null, { waived }: Basis): Rates | null {
  if (!made?.rates.length || !waived.includes(true)) return made;
  return { ...made, rates: made.rates.map((rate, index) => (waived[index] ? NO_RATE : rate)) };
}

const ONE_PERIOD: Ratio = { numerator: 1, denominator: 1 };

function ratesOf(
  basis: Basis,
  way: LoanWay,
  start: DayNumber | null,
  dateOf: Timeline["dateOf"],
): Rates | null {
  if (way.count !== "equal" || basis.terms.isListed) return ratesByDays(basis, way, start, dateOf);
  const isAdvance = way.timing === "advance";
  const regular = regularRate(basis, way);
  const first = isAdvance ? NO_RATE : simpleRate(regular, firstPeriods(basis, way, start, dateOf(1)));
  const rates = basis.pays.map((_, index) => (index === 0 ? first : regular));
  return { rates, regular, balloonRate: isAdvance && basis.balloon > 0 ? regular : null };
}

function ratesByDays(
  basis: Basis,
  way: LoanWay,
  start: DayNumber | null,
  dateOf: Timeline["dateOf"],
): Rates | null {
  const { pays, balloon } = basis;
  const isAdvance = way.timing === "advance";
  const rateBetween = daysRate(basis, way);
  const rates: PeriodRate[] = [];
  let from = firstFrom(basis, way, start ?? 0, dateOf(1) ?? 0);
  for (let number = 1; number <= pays.length; number++) {
    const to = dateOf(number) ?? 0;
    if (to < from || (to === from && !isAdvance)) return null;
    rates.push(number === 1 && isAdvance ? NO_RATE : rateBetween(from, to));
    from = to;
  }
  const next = dateOf(pays.length + 1);
  const balloonRate = isAdvance && balloon > 0 && next !== null ? rateBetween(from, next) : null;
  return { rates, regular: null, balloonRate };
}

/** How long the first of equal periods is, in periods. */
function firstPeriods(
  { deal, terms }: Basis,
  way: LoanWay,
  start: DayNumber | null,
  first: DayNumber | null,
): Ratio {
  if (way.firstDays === "notCharged" || start === null || first === null) return ONE_PERIOD;
  if (way.interestFrom === null && (deal.plan.timing ?? "arrears") === way.timing)
    return terms.draft.calendar.firstPeriods;
  const { frequency } = deal.plan;
  if (stepPeriods(frequency, start, 1, terms.draft.calendar.twoDays) === first) return ONE_PERIOD;
  return periodsBetween(frequency, start, first).periods;
}

/** From when the first of counted periods counts. */
function firstFrom(
  basis: Basis,
  { firstDays, timing }: LoanWay,
  start: DayNumber,
  first: DayNumber,
): DayNumber {
  if (timing === "advance") return first;
  return firstDays === "notCharged" ? oneBefore(basis, first) : start;
}

/** One regular period before a payment. */
function oneBefore({ deal, terms }: Basis, date: DayNumber): DayNumber {
  return stepPeriods(deal.plan.frequency, date, -1, terms.draft.calendar.twoDays);
}

function regularRate({ terms, deal }: Basis, { compounding }: LoanWay): PeriodRate {
  const perYear = periodsPerYear(deal.plan.frequency);
  return periodRate(terms.yearlyRate, { numerator: 1, denominator: perYear }, compounding);
}

/**
 * What payments are solved with: of odd days that the first payment alone pays for, a regular first period; of a rounded
 * rate, that.
 */
function solvedRates(
  basis: Basis,
  way: LoanWay,
  { rates, regular }: Rates,
  start: DayNumber | null,
  dateOf: Timeline["dateOf"],
): { rates: PeriodRate[] } | null {
  let solved = rates;
  if (way.firstDays === "onFirstPayment") {
    const [, ...rest] = rates;
    const first = dateOf(1) ?? 0;
    solved = [regular ?? daysRate(basis, way)(oneBefore(basis, first), first), ...rest];
  }
  const { rounded } = way;
  if (rounded?.what !== "rate" && rounded?.what !== "rateThroughout") return { rates: solved };
  // Odd days that the first payment alone pays for have no place in a rate that is rounded for all.
  if (!regular || way.firstDays === "onFirstPayment") return null;
  const denominator = 10 ** rounded.decimals;
  const nearest = rationalRate({ numerator: Math.round(regular.value * denominator), denominator });
  const first = firstPeriods(basis, way, start, dateOf(1));
  return {
    rates: solved.map((rate, index) => {
      if (rate === regular || rate === NO_RATE) return rate === NO_RATE ? rate : nearest;
      return index === 0 ? simpleRate(nearest, first) : nearest;
    }),
  };
}

const DAYS_A_YEAR = 365;

/** Makes the function from two dates to the rate between them; equal times share one rate. */
function daysRate(
  { terms }: Basis,
  { count, compounding }: LoanWay,
): (from: DayNumber, to: DayNumber) => PeriodRate {
  const known = new Map<number, PeriodRate>();
  return (from, to) => {
    const years = yearsOf(count, from, to);
    const key = years.numerator / years.denominator;
    const rate = known.get(key) ?? periodRate(terms.yearlyRate, years, compounding);
    known.set(key, rate);
    return rate;
  };
}

function yearsOf(count: LoanWay["count"], from: DayNumber, to: DayNumber): Ratio {
  if (count === "noLeapDay/365")
    return { numerator: to - from - leapDaysBetween(from, to), denominator: DAYS_A_YEAR };
  return yearsBetween(count === "equal" ? "actual/365" : count, from, to);
}

function betweenOf(basis: Basis, way: LoanWay): Timeline["between"] {
  if (way.count === "equal" && !basis.terms.isListed)
    return (from, to, { of, days }) => simpleRate(of, { numerator: to - from, denominator: days });
  return daysRate(basis, way);
}
