import { addMonths, civilDate, type DayNumber, dayNumber, monthsAndDaysBetween } from "../calendar";
import { failure, type Result, success } from "../result";
import { rateWhereWorthless } from "./rate-where-worthless";
import { byDate, type DatedAmount, type Transaction, transactionProblem } from "./transaction";

/** Money at a time in years: above zero to the customer, below zero from the customer. */
export type YearFlow = { amount: number; years: number };

/**
 * The annual percentage rate of charge of the European Union: directive 2008/48/EC, Annex I, with the
 * counting of odd days of directive 2014/17/EU, Annex I.
 *
 * The effective yearly rate X at which drawdowns and payments are worth the same:
 * `Σ amount × (1 + X)^−years = 0`. Times are whole months as twelfths, or whole weeks as 52nds where every
 * time is one; otherwise months back from the later date, and days over the 365 or 366 of the year that ends
 * with them.
 *
 * @param transaction minor units and day numbers, in any order
 * @returns percent a year; a failure where amounts or dates allow no rate
 * @example
 * // 1,000.00 on 1 January 1994, 1,200.00 on 1 July 1995, eighteen months on: 12.92 %
 * effectiveAnnualRate({ advances, payments })
 */
export function effectiveAnnualRate(transaction: Transaction): Result<number> {
  const problem = transactionProblem(transaction);
  if (problem) return failure("effectiveRate", problem);
  const [advances, payments] = [byDate(transaction.advances), byDate(transaction.payments)];
  const start = Math.min(advances[0]?.date ?? 0, payments[0]?.date ?? 0);
  const inWeeks = everyTimeIsWeeks([...advances, ...payments], start);
  const flow = (sign: 1 | -1) => (each: DatedAmount) => ({
    amount: sign * each.amount,
    years: inWeeks ? (each.date - start) / 7 / 52 : yearsFrom(start, each.date),
  });
  const rate = yearlyRateOfFlows([...advances.map(flow(1)), ...payments.map(flow(-1))]);
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
  const worth = (rate: number) => {
    const logGrowth = Math.log1p(rate);
    let [value, slope] = [0, 0];
    for (const { amount, years } of flows) {
      const each = amount * Math.exp(-years * logGrowth);
      value += each;
      slope -= (each * years) / (1 + rate);
    }
    return { value, slope };
  };
  const timed = [...flows]
    .sort((a, b) => a.years - b.years)
    .map(({ amount, years }) => ({ amount, time: years }));
  return rateWhereWorthless(timed, worth);
}

function everyTimeIsWeeks(amounts: readonly DatedAmount[], start: DayNumber): boolean {
  const areMonths = amounts.every(({ date }) => monthsAndDaysBetween(start, date).days === 0);
  return !areMonths && amounts.every(({ date }) => (date - start) % 7 === 0);
}

/** Whole months as twelfths, and odd days over the length of the year that ends with them. */
function yearsFrom(start: DayNumber, date: DayNumber): number {
  const { months, days } = monthsAndDaysBetween(start, date);
  if (days === 0) return months / 12;
  const lastOddDay = start + days;
  return months / 12 + days / (lastOddDay - yearBefore(lastOddDay));
}

function yearBefore(date: DayNumber): DayNumber {
  const { year, month, day } = civilDate(date);
  return month === 2 && day === 29 ? dayNumber(year - 1, 2, 28) : addMonths(date, -12);
}
