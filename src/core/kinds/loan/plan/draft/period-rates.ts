import { type DayNumber, periodsPerYear, yearsBetween } from "../../../../calendar";
import { NO_RATE, type PeriodRate, periodRate, simpleRate } from "../../../../interest";
import type { Calendar } from "./draft";

/** Periods in a row with one rate. */
export type RatedPeriods = { count: number; rate: PeriodRate };

/** The rate of one regular period of a calendar that counts periods as equal. */
function regularRate({ yearlyRate, frequency, compounding }: Calendar): PeriodRate {
  return periodRate(yearlyRate, { numerator: 1, denominator: periodsPerYear(frequency) }, compounding);
}

/**
 * The rates of all periods of a calendar, in order.
 *
 * Equal periods: one rate, the first period at simple interest for its length. By days: each period's own
 * time in years. A first payment made when the money is lent has no interest before it.
 */
export function periodRates(calendar: Calendar): RatedPeriods[] {
  const { payments, firstPeriods, dayCount, timing } = calendar;
  if (dayCount !== "equal") return ratesByDays(calendar, timing === "advance");
  const regular = regularRate(calendar);
  const first = firstPeriods.numerator === 0 ? NO_RATE : simpleRate(regular, firstPeriods);
  if (first === regular) return [{ count: payments, rate: regular }];
  const rest = payments > 1 ? [{ count: payments - 1, rate: regular }] : [];
  return [{ count: 1, rate: first }, ...rest];
}

function ratesByDays(calendar: Calendar, advance: boolean): RatedPeriods[] {
  const rateBetween = rateByDays(calendar);
  const found: RatedPeriods[] = [];
  let from = calendar.start ?? 0;
  for (let number = 1; number <= calendar.payments; number++) {
    const to = calendar.dateOf(number) ?? 0;
    const rate = number === 1 && advance ? NO_RATE : rateBetween(from, to);
    const last = found.at(-1);
    if (last?.rate === rate) last.count += 1;
    else found.push({ count: 1, rate });
    from = to;
  }
  return found;
}

/** The rate of the period that ends on a payment date after the first, beyond the planned ones too. */
export function rateBefore(calendar: Calendar, number: number): PeriodRate {
  const [from, to] = [calendar.dateOf(number - 1), calendar.dateOf(number)];
  return calendar.dayCount === "equal" || from === null || to === null
    ? regularRate(calendar)
    : rateByDays(calendar)(from, to);
}

/** Makes the function from two dates to the rate between them; equal times share one rate. */
export function rateByDays({
  dayCount,
  yearlyRate,
  compounding,
}: Calendar): (from: DayNumber, to: DayNumber) => PeriodRate {
  const count = dayCount === "equal" ? "actual/365" : dayCount;
  const known = new Map<number, PeriodRate>();
  return (from, to) => {
    const years = yearsBetween(count, from, to);
    const key = years.numerator / years.denominator;
    const rate = known.get(key) ?? periodRate(yearlyRate, years, compounding);
    known.set(key, rate);
    return rate;
  };
}
