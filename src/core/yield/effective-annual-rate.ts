import { type DayNumber, wholeMonthsAfter } from "../calendar";
import { failure, type Result, success } from "../result";
import { oddDaysInYears } from "./odd-days";
import { rateWhereWorthless } from "./rate-where-worthless";
import { monthsSince } from "./time-since";
import { byDate, type DatedAmount, type Transaction, transactionProblem } from "./transaction";

const DAYS_A_YEAR = 365;

/** Money at a time in years: above zero to the customer, below zero from the customer. */
export type YearFlow = { amount: number; years: number };

/**
 * The annual percentage rate of charge of the European Union: directive 2008/48/EC, Annex I, with the
 * counting of odd days of directive 2014/17/EU, Annex I.
 *
 * The effective yearly rate X at which drawdowns and payments are worth the same:
 * `Σ amount × (1 + X)^−years = 0`. Times are whole months as twelfths, or whole weeks as 52nds where the payments
 * step by weeks, back from the later date, and odd days over the 365 or 366 of the year that ends with them.
 *
 * @param transaction minor units and day numbers, in any order
 * @returns percent a year; a failure where amounts or dates allow no rate
 * @example
 * // 1,000.00 on 1 January 1994, 1,200.00 on 1 July 1995, eighteen months on
 * const advances = [{ date: parseIsoDate("1994-01-01"), amount: 100_000 }];
 * const payments = [{ date: parseIsoDate("1995-07-01"), amount: 120_000 }];
 * effectiveAnnualRate({ advances, payments }).value // 12.92…
 */
export function effectiveAnnualRate(transaction: Transaction): Result<number> {
  const problem = transactionProblem(transaction);
  if (problem) return failure("effectiveRate", problem);
  const [advances, payments] = [byDate(transaction.advances), byDate(transaction.payments)];
  const start = Math.min(advances[0]?.date ?? 0, payments[0]?.date ?? 0);
  const timed = (series: readonly DatedAmount[], sign: 1 | -1): YearFlow[] => {
    const yearsTo = yearsFrom(start, series);
    return series.map(({ date, amount }) => ({ amount: sign * amount, years: yearsTo(date) }));
  };
  return effectiveRateOfFlows([...timed(advances, 1), ...timed(payments, -1)]);
}

/**
 * The same for money whose times are known in years: without dates, each period is its part of a year.
 *
 * @param flows minor units
 * @returns percent a year; a failure where the amounts or their times allow no rate
 * @example effectiveRateOfFlows([{ amount: 1000, years: 0 }, { amount: -1100, years: 1 }]).value.toFixed(2) // "10.00"
 */
export function effectiveRateOfFlows(flows: readonly YearFlow[]): Result<number> {
  const isAtOnce = flows.every(({ years }) => years === flows[0]?.years);
  const rate = isAtOnce ? undefined : yearlyRateOfFlows(flows);
  return rate === undefined
    ? failure("effectiveRate", "No rate makes these payments worth these advances; look at their dates.")
    : success(rate * 100);
}

/**
 * The yearly rate at which money in and money out are worth the same, compounding over parts of years too.
 *
 * @returns the rate as a fraction above −1, or undefined where none fits
 */
export function yearlyRateOfFlows(flows: readonly YearFlow[]): number | undefined {
  // A few days can make a yearly rate that is too large to close in on, but not a daily one.
  return rateOver(1, flows) ?? rateOver(DAYS_A_YEAR, flows);
}

/** The yearly rate, found as the rate of a part of the year. */
function rateOver(parts: number, flows: readonly YearFlow[]): number | undefined {
  const worth = (rate: number) => {
    const logGrowth = Math.log1p(rate);
    let [value, slope] = [0, 0];
    for (const { amount, years } of flows) {
      const each = amount * Math.exp(-years * parts * logGrowth);
      value += each;
      slope -= (each * years * parts) / (1 + rate);
    }
    return { value, slope };
  };
  const timed = [...flows]
    .sort((a, b) => a.years - b.years)
    .map(({ amount, years }) => ({ amount, time: years * parts }));
  const rate = rateWhereWorthless(timed, worth);
  if (rate === undefined || parts === 1) return rate;
  const yearly = Math.expm1(parts * Math.log1p(rate));
  return Number.isFinite(yearly) ? yearly : undefined;
}

/** Makes the function from a date of a series to its time since the start in years. */
function yearsFrom(start: DayNumber, series: readonly DatedAmount[]): (date: DayNumber) => number {
  const first = series[0]?.date ?? start;
  const areMonths = series.every(({ date }) => wholeMonthsAfter(first, date) !== undefined);
  if (!areMonths && series.every(({ date }) => (date - first) % 7 === 0)) {
    return date => {
      const days = (date - start) % 7;
      return (date - start - days) / 7 / 52 + oddDaysInYears(start, days);
    };
  }
  const since = monthsSince(start, first);
  return date => {
    const { months, days } = since(date);
    return months / 12 + oddDaysInYears(start, days);
  };
}
