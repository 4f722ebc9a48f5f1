// A lender's loan by conventions written apart from the core's: 60-digit decimals, one period after another.
import Decimal from "decimal.js";
import type { Departure } from "@/core/match";

const D = Decimal.clone({ precision: 60 });
type Digits = InstanceType<typeof D>;

/** What a deal comes from, in minor units. */
export type TheirLines = {
  price: number;
  down: number;
  allowance: number;
  owed: number;
  taxRate: string;
  isTradeInCredited: boolean;
  isTaxOnFees: boolean;
  /** Taxable, and financed unless it is paid at signing. */
  documents: number;
  isDocumentsAtSigning: boolean;
  /** Not taxable, and paid at signing unless it is financed. */
  plates: number;
  isPlatesFinanced: boolean;
  /** What else is financed, without tax. */
  more: number;
};

/** How a lender counts. Days are day numbers. */
export type TheirTerms = {
  lines: TheirLines;
  rate: string;
  payments: number;
  signed: number;
  first: number;
  balloon: number;
  count: string;
  timing: "arrears" | "advance";
  compounding: string;
  firstDays: "charged" | "notCharged" | "onFirstPayment";
  start: number;
  rule: "nearest" | "up" | "down";
  step: number;
  rounded: { what: string; decimals: number } | null;
  rows: "halfUp" | "halfEven" | "down" | "none";
  isLastAdjusted: boolean;
  isFlat: boolean;
};

/** A third of a year is no decimal: what is a tie, or whole, to so many places is that. */
const exactly = (value: Digits): Digits => value.toDecimalPlaces(40);

/** A number rounded to whole ones. */
function whole(number: Digits, rule: TheirTerms["rule"]): Digits {
  const value = exactly(number);
  if (rule === "up") return value.ceil();
  return rule === "down" ? value.floor() : value.plus(0.5).floor();
}

/** What is financed by the lines, in minor units; a tax is rounded half up. */
export function theirAmount(lines: TheirLines): number {
  const { price, down, allowance, owed, documents, plates, more } = lines;
  const taxed = price + (lines.isTaxOnFees ? documents : 0) - (lines.isTradeInCredited ? allowance : 0);
  const tax = whole(new D(Math.max(taxed, 0)).times(lines.taxRate).div(100), "nearest").toNumber();
  const fees = (lines.isDocumentsAtSigning ? 0 : documents) + (lines.isPlatesFinanced ? plates : 0);
  return price + tax + fees - allowance + owed - down + more;
}

const date = (day: number) => new Date(day * 86_400_000);
const dayOf = (year: number, month: number, day: number) => Date.UTC(year, month, day) / 86_400_000;

/** Months on from a day, which is at most the 28th. */
export const monthsOn = (day: number, months: number): number => {
  const from = date(day);
  return dayOf(from.getUTCFullYear(), from.getUTCMonth() + months, from.getUTCDate());
};

function leapDays(from: number, to: number): number {
  let count = 0;
  for (let day = from + 1; day <= to; day++) {
    const on = date(day);
    if (on.getUTCMonth() === 1 && on.getUTCDate() === 29) count += 1;
  }
  return count;
}

/** The years between two days by a count; days are at most the 28th or as the start falls. */
function yearsBetween(count: string, from: number, to: number): Digits {
  const days = to - from;
  if (count === "actual/360") return new D(days).div(360);
  if (count === "actual/365") return new D(days).div(365);
  if (count === "noLeapDay/365") return new D(days - leapDays(from, to)).div(365);
  if (count === "30/360") {
    const [a, b] = [date(from), date(to)];
    const first = Math.min(a.getUTCDate(), 30);
    const last = first === 30 ? Math.min(b.getUTCDate(), 30) : b.getUTCDate();
    const months = (b.getUTCFullYear() - a.getUTCFullYear()) * 12 + b.getUTCMonth() - a.getUTCMonth();
    return new D(months * 30 + last - first).div(360);
  }
  // Real days over the real days of their years, one after another.
  let years = new D(0);
  for (let day = from; day < to; day++) {
    const year = date(day).getUTCFullYear();
    const isLeap = dayOf(year, 1, 29) !== dayOf(year, 2, 1);
    years = years.plus(new D(1).div(isLeap ? 366 : 365));
  }
  return years;
}

const TIMES: Record<string, number> = {
  daily: 365,
  weekly: 52,
  monthly: 12,
  quarterly: 4,
  halfYearly: 2,
  yearly: 1,
};

/** The rate of a time in years. */
function rateOf({ rate, compounding }: TheirTerms, years: Digits): Digits {
  const yearly = new D(rate).div(100);
  if (compounding === "payments") return yearly.times(years);
  if (compounding === "continuous") return yearly.times(years).exp().minus(1);
  const times = TIMES[compounding] ?? 1;
  return yearly.div(times).plus(1).pow(years.times(times)).minus(1);
}

/** The odd first period of equal months, in months: the whole months back from the first payment, and days over 30. */
function oddMonths(start: number, first: number): Digits {
  let months = 0;
  while (monthsOn(first, -(months + 1)) >= start) months += 1;
  return new D(monthsOn(first, -months) - start).div(30).plus(months);
}

type Rates = { rows: Digits[]; solved: Digits[] };

const dueOn = (terms: TheirTerms, number: number): number =>
  monthsOn(terms.timing === "advance" ? terms.signed : terms.first, number - 1);

/** The rate before each payment. */
function rowRates(terms: TheirTerms): Digits[] {
  const { count, payments, timing, firstDays, start } = terms;
  const regular = rateOf(terms, new D(1).div(12));
  return Array.from({ length: payments }, (_, index) => {
    const to = dueOn(terms, index + 1);
    if (index === 0 && timing === "advance") return new D(0);
    const isRegular = index > 0 || firstDays === "notCharged";
    if (count === "equal") return isRegular ? regular : regular.times(oddMonths(start, to));
    return rateOf(terms, yearsBetween(count, isRegular ? monthsOn(to, -1) : start, to));
  });
}

function ratesOf(terms: TheirTerms): Rates {
  const { count, timing, firstDays, start, rounded } = terms;
  const rows = rowRates(terms);
  const regular = rateOf(terms, new D(1).div(12));
  const first = dueOn(terms, 1);
  if (rounded?.what === "rate" || rounded?.what === "rateThroughout") {
    const places = new D(10).pow(rounded.decimals);
    const nearest = whole(regular.times(places), "nearest").div(places);
    const odd = firstDays === "notCharged" ? nearest : nearest.times(oddMonths(start, first));
    const fromRounded = rows.map((_, index) => (index > 0 ? nearest : timing === "advance" ? new D(0) : odd));
    return { rows: rounded.what === "rate" ? rows : fromRounded, solved: fromRounded };
  }
  if (firstDays !== "onFirstPayment") return { rows, solved: rows };
  const ofMonth =
    count === "equal" ? regular : rateOf(terms, yearsBetween(count, monthsOn(first, -1), first));
  return { rows, solved: [ofMonth, ...rows.slice(1)] };
}

export type TheirRow = { number: number; payment: number; interest: number; balance: number };

/** What a lender says of its loan, in minor units; undefined where there is no such loan. */
export type TheirLoan = { payment: number; lastPayment: number; totalOfPayments: number; rows: TheirRow[] };

export function theirLoan(terms: TheirTerms): TheirLoan | undefined {
  const amount = theirAmount(terms.lines);
  if (amount <= 0 || terms.payments < 1) return undefined;
  return terms.isFlat ? flatLoan(terms, amount) : ratedLoan(terms, amount);
}

function stepped(value: Digits, { rule, step }: TheirTerms): number {
  return whole(value.div(step), rule).times(step).toNumber();
}

/** In advance a balloon falls a period after the last payment. */
function balloonRate(terms: TheirTerms): Digits {
  const { balloon, timing, count, payments } = terms;
  if (balloon === 0 || timing === "arrears") return new D(0);
  if (count === "equal") return rateOf(terms, new D(1).div(12));
  return rateOf(terms, yearsBetween(count, dueOn(terms, payments), dueOn(terms, payments + 1)));
}

/** What the payments leave owing for the balloon. */
const floorOf = (terms: TheirTerms): number =>
  whole(new D(terms.balloon).div(balloonRate(terms).plus(1)), "nearest").toNumber();

function solvedPayment(terms: TheirTerms, amount: number, rates: readonly Digits[]): Digits {
  let [worth, discount] = [new D(0), new D(1)];
  for (const rate of rates) {
    discount = discount.div(rate.plus(1));
    worth = worth.plus(discount);
  }
  const { rounded, balloon } = terms;
  if (rounded?.what === "paymentFactor" || rounded?.what === "factorPerThousand") {
    const places = new D(10).pow(rounded.decimals + (rounded.what === "factorPerThousand" ? 3 : 0));
    return whole(places.div(worth), "nearest").div(places).times(amount);
  }
  return new D(amount).minus(discount.times(balloon).div(balloonRate(terms).plus(1))).div(worth);
}

function interestOf(balance: Digits, rate: Digits, rule: TheirTerms["rows"]): Digits {
  const exact = exactly(balance.times(rate));
  if (rule === "none") return exact;
  if (rule === "down") return exact.floor();
  if (rule === "halfUp") return exact.plus(0.5).floor();
  return exact.toDecimalPlaces(0, D.ROUND_HALF_EVEN);
}

function ratedLoan(terms: TheirTerms, amount: number): TheirLoan | undefined {
  const { payments, balloon } = terms;
  const floor = floorOf(terms);
  const rates = ratesOf(terms);
  const exact = solvedPayment(terms, amount, rates.solved);
  if (exact.lte(0)) return undefined;
  const level = stepped(exact, terms);
  let balance = new D(amount);
  const rows: TheirRow[] = [];
  let total = 0;
  for (let number = 1; number <= payments && !(balance.isZero() && balloon === 0); number++) {
    const row = theirRow(terms, rates, { number, balance, level, floor });
    // How a balloon is still reached where payments would take of it before the last one is not told apart here.
    if (floor > 0 && number < payments && row.payment < level) return undefined;
    balance = new D(row.balance);
    total += row.payment;
    rows.push({ ...row, balance: row.balance.toNumber() });
  }
  return { payment: level, lastPayment: rows.at(-1)?.payment ?? 0, totalOfPayments: total + balloon, rows };
}

function theirRow(
  { payments, rows: rule, isLastAdjusted, firstDays }: TheirTerms,
  { rows, solved }: Rates,
  { number, balance, level, floor }: { number: number; balance: Digits; level: number; floor: number },
) {
  const interest = interestOf(balance, rows[number - 1] ?? new D(0), rule);
  const owed = balance.plus(interest);
  const odd =
    firstDays === "onFirstPayment" && number === 1
      ? Math.round(interest.minus(interestOf(balance, solved[0] ?? new D(0), rule)).toNumber())
      : 0;
  const left = Math.round(owed.minus(floor).toNumber());
  const isAdjusted = number === payments && isLastAdjusted;
  const payment = isAdjusted ? left : Math.max(Math.min(level + odd, left), 0);
  return {
    number,
    payment,
    interest: interest.toNumber(),
    balance: payment === left ? new D(floor) : owed.minus(payment),
  };
}

function flatLoan(terms: TheirTerms, amount: number): TheirLoan {
  const { payments, rate, isLastAdjusted } = terms;
  const charge = whole(new D(amount).times(rate).times(payments).div(1200), "nearest").toNumber();
  const level = stepped(new D(amount + charge).div(payments), terms);
  let left = amount + charge;
  let [total, last] = [0, 0];
  for (let number = 1; number <= payments && left > 0; number++) {
    const isLast = number === payments || left <= level;
    last = isLast && isLastAdjusted ? left : level;
    left -= last;
    total += last;
  }
  return { payment: level, lastPayment: last, totalOfPayments: total, rows: [] };
}

/** What a departure makes of a lender's terms. */
export function withDeparture(terms: TheirTerms, departure: Departure): TheirTerms {
  const { lines } = terms;
  switch (departure.kind) {
    case "lines":
    case "amount":
      return { ...terms, lines: { ...lines, more: lines.more + departure.more } };
    case "firstDays":
      return { ...terms, firstDays: departure.how };
    case "interestFrom":
      return { ...terms, start: departure.date };
    case "counting":
      return { ...terms, count: departure.count };
    case "timing":
      return { ...terms, timing: departure.timing };
    case "compounding":
      return { ...terms, compounding: departure.compounding };
    case "rounding":
      return { ...terms, rule: departure.rule, step: departure.step };
    case "rounded":
      return { ...terms, rounded: departure };
    case "rowInterest":
      return { ...terms, rows: departure.rule };
    case "lastPayment":
      return { ...terms, isLastAdjusted: false };
    case "rate":
      if (departure.as === "flat") return { ...terms, isFlat: true };
      if (departure.as === "perPeriod") return { ...terms, rate: new D(terms.rate).times(12).toString() };
      if (departure.as === "moneyFactor") return { ...terms, rate: new D(terms.rate).times(2400).toString() };
      if (departure.as === "twoDecimals") return { ...terms, rate: new D(terms.rate).toFixed(2) };
      throw new Error(`${departure.as} is none of these loans’.`);
    case "slip":
      return withSlip(terms, departure);
    default:
      throw new Error(`${departure.kind} is none of a loan’s.`);
  }
}

function withSlip(terms: TheirTerms, slip: Extract<Departure, { kind: "slip" }>): TheirTerms {
  const { lines } = terms;
  const put = (change: Partial<TheirLines>) => ({ ...terms, lines: { ...lines, ...change } });
  switch (slip.slip) {
    case "downForgotten":
      return put({ down: 0 });
    case "downTwice":
      return put({ down: 2 * lines.down });
    case "owedSubtracted":
      return put({ owed: -lines.owed });
    case "balloonForgotten":
      return { ...terms, balloon: 0 };
    case "payments":
      return { ...terms, payments: slip.to };
    case "chargeFinanced":
      return put({ isPlatesFinanced: true });
    case "chargeAtSigning":
      return put({ isDocumentsAtSigning: true });
    case "taxBase":
      if (slip.what === "tradeIn") return put({ isTradeInCredited: slip.isTaken });
      if (slip.what === "fees") return put({ isTaxOnFees: slip.isTaken });
      if (slip.what === "price") return put({ taxRate: "0" });
      throw new Error(`No tax is on ${slip.what}.`);
    case "digits": {
      const { figure, to } = slip;
      if (figure === "yearlyRate") return { ...terms, rate: to };
      if (figure === "payments") return { ...terms, payments: Number(to) };
      if (figure === "balloon") return { ...terms, balloon: Number(to) };
      if (figure === "price" || figure === "down" || figure === "allowance" || figure === "owed")
        return put({ [figure]: Number(to) });
      throw new Error(`${figure} is none of a loan’s.`);
    }
    default:
      throw new Error(`${slip.slip} is none of a loan’s.`);
  }
}
