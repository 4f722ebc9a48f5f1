// What it costs to keep a vehicle, written apart: each way's money by date from its table, sums at 50 digits.
import Decimal from "decimal.js";
import { isoDate, type LeaseQuote, type LoanQuote, payoffOn, type Quote } from "@/core";
import type { AfterEnd, KeepFor } from "@/core/horizon";
import { daysBetween, type ExactFrequency, PER_YEAR, plusMonths, stepped } from "../exact-dates";

const Exact = Decimal.clone({ precision: 50, rounding: Decimal.ROUND_HALF_UP });
type Money = { date: string; amount: number }[];

/** Halves up, also below 0; a third that was written out to 50 digits counts as a third. */
const halfUp = (value: Decimal): number => value.plus("0.5").plus("1e-30").floor().toNumber();

/** What is assumed beside a deal; a value in place of the curve's, where one is put back. */
export type Assumed = { keepFor: KeepFor; of: number; value?: number };

/** Months and odd days, counted on from signing. */
function since(from: string, to: string): [number, number] {
  let months = 0;
  while (plusMonths(from, months + 1) <= to) months += 1;
  return [months, daysBetween(plusMonths(from, months), to)];
}

const yearsSince = (from: string, to: string): Decimal => {
  const [months, days] = since(from, to);
  return new Exact(months).div(12).plus(new Exact(days).div(365));
};

/** What a curve says at an age, before distance and with it, in minor units. */
export function worth(from: string, to: string, { keepFor, of }: Assumed): { normal: number; value: number } {
  const { points, normalDistance, beyond } = keepFor.value;
  const age = yearsSince(from, to).mul(12);
  const at = points.findLastIndex(({ month }) => age.gte(month));
  const [one, next] = [points[Math.max(at, 0)], points[at + 1]];
  if (!one) throw new Error("A curve has a point.");
  let percent = new Exact(one.percent);
  if (at >= 0 && next)
    percent = percent.plus(
      new Exact(next.percent)
        .minus(one.percent)
        .mul(age.minus(one.month))
        .div(next.month - one.month),
    );
  const share = percent.mul(of).div(100);
  const lost = Exact.max(0, keepFor.distance - normalDistance)
    .mul(beyond)
    .mul(100)
    .mul(age)
    .div(12);
  return { normal: halfUp(Exact.max(share, 0)), value: halfUp(Exact.max(share.minus(lost), 0)) };
}

/** One root of a deal's discount; powers of it by multiplying. */
function discounting(keepFor: KeepFor): (from: string, to: string) => Decimal {
  const { yearlyReturn } = keepFor;
  if (!yearlyReturn) return () => new Exact(1);
  const growth = new Exact(yearlyReturn.rate).mul(new Exact(100).minus(yearlyReturn.tax)).div(10_000).plus(1);
  const [month, day] = [growth.pow(new Exact(-1).div(12)), growth.pow(new Exact(-1).div(365))];
  const powers = [new Exact(1)];
  return (from, to) => {
    const [months, days] = since(from, to);
    while (powers.length <= months) powers.push((powers.at(-1) as Decimal).mul(month));
    let factor = powers[months] as Decimal;
    for (let odd = 0; odd < days; odd++) factor = factor.mul(day);
    return factor;
  };
}

/** Sums plain and in today's money; the latter also as it is before rounding, and without its signs. */
export type Costs = { plain: number; today: number; exactly: Decimal; size: Decimal };

export function costs(money: Money, signed: string, keepFor: KeepFor): Costs {
  const discount = discounting(keepFor);
  let [plain, exactly, size] = [0, new Exact(0), new Exact(0)];
  for (const { date, amount } of money) {
    const part = discount(signed, date).mul(amount);
    plain += amount;
    exactly = exactly.plus(part);
    size = size.plus(part.abs());
  }
  return { plain, today: halfUp(exactly), exactly, size };
}

/** What leaves the pocket at signing beside what is due: deposits paid, and what trade-ins are worth beyond what is owed. */
const givenBefore = ({ filled }: Quote) =>
  (filled.structure.deposit ?? 0) +
  filled.structure.tradeIns.reduce((sum, { allowance, owed }) => sum + (allowance ?? 0) - owed, 0);

const day = (date: number | null) => isoDate(date ?? 0);

export function loanMoney(quote: LoanQuote, on: string, assumed: Assumed): Money {
  const signed = day(quote.startDate);
  const money: Money = [{ date: signed, amount: quote.dueAtSigning.total + givenBefore(quote) }];
  const paid = quote.schedule.filter(
    ({ payment, kind }) => payment > 0 && kind !== "extra" && kind !== "balloon",
  );
  for (const row of quote.schedule) {
    const date = day(row.date);
    if (date <= signed || date > on) continue;
    const { first = 0, last = 0, each = 0 } = paid.includes(row) ? (quote.charges?.all ?? {}) : {};
    const beside = each + (row === paid[0] ? first : 0) + (row === paid.at(-1) ? last : 0);
    money.push({ date, amount: row.payment + beside });
  }
  if (on < day(quote.finalDate)) {
    const payoff = payoffOn(quote, (quote.startDate ?? 0) + daysBetween(signed, on));
    if (!payoff.ok) throw new Error(payoff.failure.sentence);
    money.push({ date: on, amount: payoff.value.settle });
  }
  return [...money, { date: on, amount: -(assumed.value ?? worth(signed, on, assumed).value) }];
}

const KM = new Exact("1.609344");

/** What is driven beyond, in minor units. */
function beyond({ filled }: LeaseQuote, years: Decimal, { distance: driven, unit }: KeepFor): number {
  const { distance } = filled.plan;
  if (!distance) return 0;
  const own =
    distance.unit === unit ? new Exact(driven) : unit === "mi" ? KM.mul(driven) : new Exact(driven).div(KM);
  return halfUp(Exact.max(own.minus(distance.perYear), 0).mul(distance.beyond).mul(100).mul(years));
}

type End = "returned" | "bought";

/** One lease of those that follow each other, as of the last day that is asked of. */
type Cycle = { quote: LeaseQuote; first: number; start: string; over: string; on: string; isFirst: boolean };

/** How many periods after signing a lease is over. */
function periodsOf({ filled: { plan }, payments }: LeaseQuote): number {
  const later = plan.inAdvance === payments ? 0 : payments - plan.inAdvance;
  return Math.max(
    payments,
    { lastPayment: later, onePeriodAfter: later + 1, end: payments }[plan.residualDue],
  );
}

/** What is due at signing and with payments, and what is still owed in its table by the day. */
function paidIn({ quote, first, start, on }: Cycle): { money: Money; balance: number } {
  const money: Money = [{ date: start, amount: quote.dueAtSigning.total }];
  const rows = quote.schedule.filter(({ kind }) => kind !== "closing");
  const { first: once, last, each } = quote.withPayments;
  let balance = quote.cost;
  for (const [index, row] of rows.entries()) {
    const date = dateOf(quote, first + row.period);
    if (date > on) break;
    balance = row.balance;
    const beside = each + (index === 0 ? once : 0) + (index === rows.length - 1 ? last : 0);
    if (row.kind === "payment") money.push({ date, amount: row.payment + beside });
  }
  return { money, balance };
}

const dateOf = (quote: LeaseQuote, period: number) =>
  stepped(day(quote.startDate), quote.filled.plan.frequency as ExactFrequency, period);

function toBuy(quote: LeaseQuote, price: number): number {
  const whole = price + quote.filled.plan.purchaseFee;
  return whole + purchaseTaxes(quote, whole);
}

/** What the vehicle of a lease brings on the day: of the first one as is assumed, where that is. */
const valueOn = ({ start, on, isFirst }: Cycle, assumed: Assumed): number =>
  (isFirst ? assumed.value : undefined) ?? worth(start, on, assumed).value;

/** A lease that is not over: bought out and sold, or settled with its lessor. */
function endedBefore(cycle: Cycle, balance: number, end: End, assumed: Assumed): Money {
  const { quote, start, on } = cycle;
  const { plan } = quote.filled;
  const own = valueOn(cycle, assumed);
  const back = { date: on, amount: -quote.securityDeposit };
  if (end === "bought") return [back, { date: on, amount: toBuy(quote, balance) - own }];
  const { value, normal } = worth(start, on, assumed);
  const charged = beyond(quote, yearsSince(start, on), assumed.keepFor);
  const brings = halfUp(
    new Exact(plan.distance ? own + normal - value : own).mul(assumed.keepFor.value.realized).div(100),
  );
  const left = balance + plan.earlyFee - brings;
  return [back, { date: on, amount: charged + (plan.surplus === "customer" ? left : Math.max(left, 0)) }];
}

/** A lease whose vehicle is bought at its end, and sold on the day. */
const boughtAtEnd = (cycle: Cycle, assumed: Assumed): Money => [
  { date: cycle.over, amount: toBuy(cycle.quote, cycle.quote.residual) - cycle.quote.securityDeposit },
  { date: cycle.on, amount: -valueOn(cycle, assumed) },
];

/** A lease's money up to a day; undefined where that end does not lead there. */
export function leaseMoney(
  quote: LeaseQuote,
  on: string,
  end: End,
  after: AfterEnd,
  assumed: Assumed,
): Money | undefined {
  const { plan } = quote.filled;
  const periods = periodsOf(quote);
  const money: Money = [{ date: day(quote.startDate), amount: givenBefore(quote) }];
  for (let first = 0; ; first += periods) {
    const [start, over] = [dateOf(quote, first), dateOf(quote, first + periods)];
    const cycle = { quote, first, start, over, on, isFirst: first === 0 };
    const paid = paidIn(cycle);
    money.push(...paid.money);
    if (on < over) return [...money, ...endedBefore(cycle, paid.balance, end, assumed)];
    const isLast = on === over || after !== "again";
    if (isLast && on > over && (after === "buy") !== (end === "bought")) return undefined;
    if (isLast && end === "bought") return [...money, ...boughtAtEnd(cycle, assumed)];
    const years = new Exact(quote.payments).div(PER_YEAR[plan.frequency as ExactFrequency]);
    money.push({
      date: over,
      amount: plan.dispositionFee - quote.securityDeposit + beyond(quote, years, assumed.keepFor),
    });
    if (isLast) return money;
  }
}

/** Each tax on buying rounded by itself, at most its caps. */
function purchaseTaxes({ filled }: LeaseQuote, price: number): number {
  const rules = { nearest: Decimal.ROUND_HALF_UP, up: Decimal.ROUND_UP, down: Decimal.ROUND_DOWN };
  return filled.plan.taxes
    .filter(({ on }) => on.includes("purchase"))
    .map(({ rate, rounding, cap, capOn }) =>
      Math.min(
        cap ?? Number.POSITIVE_INFINITY,
        new Exact(Math.min(price, capOn ?? price))
          .mul(rate)
          .div(100)
          .toDecimalPlaces(0, rules[rounding])
          .toNumber(),
      ),
    )
    .reduce((sum, tax) => sum + tax, 0);
}
