import type { DayNumber } from "../../../../calendar";
import { NO_RATE, type PeriodRate, periodInterest, simpleRate } from "../../../../interest";
import { roundFraction } from "../../../../money";
import { type Calendar, rateByDays } from "../draft";
import type { Loan, PaymentRow } from "../repay";

/** A loan with its table. */
export type Repaid = {
  loan: Loan;
  rows: readonly PaymentRow[];
  /** The date of the last money, or null. */
  finalDate: DayNumber | null;
  /** Whether the plan lists its payments. */
  isListed: boolean;
};

/** How interest grows within one period of a loan, in minor units. */
type Accrual = {
  from: DayNumber;
  /** Days passed on a date, and the days of the period. */
  share: (date: DayNumber) => Share;
  /** Interest up to a date on a balance that extras have lowered on their days. */
  interest: (balance: number, date: DayNumber, extras: readonly PaymentRow[]) => number;
  /** What one unit owed bears up to a date; null where interest is no rate of what is owed. */
  rate: (date: DayNumber) => number | null;
  /** What the next day adds, not rounded. */
  perDay: (balance: number, date: DayNumber) => number;
  /** What so many days after a date add, each as much as the next one, rounded half up once. */
  beyond: (balance: number, date: DayNumber, days: number) => number;
};

export type Share = { days: number; of: number };

/** How interest grows between one payment date and the next. */
export function accrualAfter({ loan, rows, finalDate, isListed }: Repaid, after: number): Accrual {
  const { draft } = loan;
  const { calendar, flat } = draft;
  const from = (after === 0 ? calendar.start : calendar.dateOf(after)) ?? 0;
  const to = calendar.dateOf(after + 1) ?? finalDate ?? from;
  const of = Math.max(to - from, 1);
  const share = (date: DayNumber) => ({ days: date - from, of });
  if (flat) return { from, share, ...flatAccrual(rows, after, share) };
  const rate = rateOfPeriod(draft, after + 1);
  const countsDays = rate !== NO_RATE && (calendar.dayCount !== "equal" || isListed);
  return {
    from,
    share,
    ...(countsDays ? dailyAccrual(calendar, rate, from, of) : sharedAccrual(rate, from, of)),
  };
}

type Growth = Pick<Accrual, "interest" | "rate" | "perDay" | "beyond">;

/** A period's interest shared out over its days. */
function sharedAccrual(rate: PeriodRate, from: DayNumber, of: number): Growth {
  const oneDay = simpleRate(rate, { numerator: 1, denominator: of });
  return {
    interest: (balance, date, extras) => periodInterest(balanceDays(balance, from, date, extras), oneDay),
    rate: date => oneDay.value * (date - from),
    perDay: balance => balance * oneDay.value,
    beyond: (balance, _, days) => periodInterest(balance, timesDays(oneDay, days)),
  };
}

/** Interest by the plan's own count of days; with extras in between shared out, as the table does it. */
function dailyAccrual(calendar: Calendar, rate: PeriodRate, from: DayNumber, of: number): Growth {
  const rateBetween = rateByDays(calendar);
  const shared = sharedAccrual(rate, from, of);
  const oneDay = (date: DayNumber): PeriodRate => {
    const [before, after] = [rateBetween(from, date), rateBetween(from, date + 1)];
    return {
      value: after.value - before.value,
      precise: () => after.precise() - before.precise(),
    };
  };
  return {
    interest: (balance, date, extras) =>
      extras.length > 0
        ? shared.interest(balance, date, extras)
        : periodInterest(balance, rateBetween(from, date)),
    rate: date => rateBetween(from, date).value,
    perDay: (balance, date) => balance * oneDay(date).value,
    beyond: (balance, date, days) => periodInterest(balance, timesDays(oneDay(date), days)),
  };
}

const timesDays = (oneDay: PeriodRate, days: number) =>
  simpleRate(oneDay, { numerator: days, denominator: 1 });

/** A flat-rate loan earns its row's part of the charge day by day. */
function flatAccrual(rows: readonly PaymentRow[], after: number, share: Accrual["share"]): Growth {
  const interest = rows[after]?.interest ?? 0;
  return {
    interest: (_, date) => shareOf(interest, share(date)),
    rate: () => null,
    perDay: (_, date) => interest / share(date).of,
    beyond: (_, date, days) => shareOf(interest, { days, of: share(date).of }),
  };
}

/** A part of an amount by days, rounded half up to the minor unit. */
export function shareOf(amount: number, { days, of }: Share): number {
  return roundFraction({ numerator: BigInt(amount) * BigInt(days), denominator: BigInt(of) }, "nearest");
}

/** A balance times its days, less what extras took off it from their days on. */
function balanceDays(
  balance: number,
  from: DayNumber,
  date: DayNumber,
  extras: readonly PaymentRow[],
): number {
  return extras.reduce(
    (sum, extra) => sum - extra.payment * (date - (extra.date ?? date)),
    balance * (date - from),
  );
}

/** The rate of the period that ends with a payment; of a balloon's own after the last. */
export function rateOfPeriod(draft: Loan["draft"], number: number): PeriodRate {
  let last = 0;
  for (const run of draft.runs) {
    last += run.count;
    if (number <= last) return run.rate;
  }
  return draft.balloonRate ?? NO_RATE;
}
