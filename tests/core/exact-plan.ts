// Loans of every shape in whole numbers, sharing no code with the core: rates by decimal.js where they are no
// fractions, discount factors multiplied out one by one to 200 decimals.
import Decimal from "decimal.js";
import {
  daysBetween,
  type ExactDayCount,
  type ExactFrequency,
  PER_YEAR,
  periodsBetween,
  stepped,
  yearsBetween,
} from "./exact-dates";

Decimal.set({ precision: 230 });

export const SCALE = 10n ** 200n;
const TIE = 10n ** 30n;

export type ExactPlan = {
  amount: bigint;
  /** Percent a year as typed. */
  yearlyRate: string;
  payments: number;
  frequency: ExactFrequency;
  compounding: keyof typeof COMPOUNDED | "payments" | "continuous";
  timing: "arrears" | "advance";
  dayCount: ExactDayCount;
  /** ISO dates. */
  signed: string;
  firstPayment?: string;
  rounding: "nearest" | "up" | "down";
  step: bigint;
  balloon: bigint;
  interestOnly: number;
  deferred: number;
  waived: boolean;
  skippedMonths: number[];
  /** From one payment on: another amount, or hundredths of a percent of change. */
  steps: ({ from: number } & ({ amount: bigint } | { hundredths: bigint }))[];
  /** The same part of the principal in each payment, besides its interest. */
  equalPrincipal: boolean;
  extraEach: bigint;
  /** With which payments; all where left out. */
  eachFrom?: number;
  eachTo?: number;
  /** What lowers the payments to the same end has them as much lower from the next one on. */
  once: { date: string; amount: bigint; lowers?: boolean }[];
  /** Whether an extra above what is owed is just that. */
  trims?: boolean;
};

export type ExactRow = {
  date: string;
  payment: bigint;
  interest: bigint;
  principal: bigint;
  balance: bigint;
};

const COMPOUNDED = { daily: 365, weekly: 52, monthly: 12, quarterly: 4, halfYearly: 2, yearly: 1 };

/** A number of 200 decimals, rounded half up to a whole one; what is within 1e-170 of a tie is one. */
function halfUp(scaled: bigint): bigint {
  return (scaled + SCALE / 2n + TIE) / SCALE;
}

function divided(numerator: bigint, denominator: bigint, rounding: ExactPlan["rounding"]): bigint {
  const near = (numerator * SCALE) / denominator;
  if (rounding === "nearest") return halfUp(near);
  const below = (near + TIE) / SCALE;
  return rounding === "up" && near - below * SCALE > TIE ? below + 1n : below;
}

/** Whether a payment below zero, given by its size, is no payment once it is rounded. */
function roundsToZero(size: bigint, step: bigint, rounding: ExactPlan["rounding"]): boolean {
  if (rounding === "down") return false;
  return rounding === "up" ? size < step : 2n * size <= step;
}

/** The rate of a part of a year, to 200 decimals. */
function rateFor({ yearlyRate, compounding }: ExactPlan, [n, d]: [bigint, bigint]): bigint {
  const nominal = new Decimal(yearlyRate).div(100);
  const years = new Decimal(n.toString()).div(d.toString());
  if (compounding === "payments") {
    const [whole = "0", decimals = ""] = yearlyRate.split(".");
    return (BigInt(whole + decimals) * n * SCALE) / (10n ** BigInt(decimals.length + 2) * d);
  }
  const each = compounding === "continuous" ? 0 : COMPOUNDED[compounding];
  const growth = each === 0 ? nominal.mul(years).exp() : nominal.div(each).plus(1).pow(years.mul(each));
  return BigInt(growth.minus(1).mul(SCALE.toString()).toFixed(0, Decimal.ROUND_FLOOR));
}

type Pay =
  | { kind: "level"; changes: bigint[] }
  | { kind: "amount"; amount: bigint }
  | { kind: "interest" | "none" | "principal" };

/** Dates, rates and what is paid on each payment date. */
function periodsOf(plan: ExactPlan): { date: string; from: string; rate: bigint; pay: Pay }[] {
  const { frequency, timing, signed, payments, dayCount } = plan;
  const inAdvance = timing === "advance";
  const first = plan.firstPayment ?? (inAdvance ? signed : stepped(signed, frequency, 1));
  const regular: [bigint, bigint] = [1n, BigInt(PER_YEAR[frequency])];
  const equalRate = dayCount === "equal" ? rateFor(plan, regular) : 0n;
  // Every date steps from the day that was typed, so that 31 January leads to 31 March.
  const dateOf = (k: number) =>
    plan.firstPayment ? stepped(first, frequency, k - 1) : stepped(signed, frequency, inAdvance ? k - 1 : k);
  const known = new Map<string, bigint>();
  const rateBetween = (from: string, to: string) => {
    const years = yearsBetween(from, to, dayCount);
    const key = years.join("/");
    if (!known.has(key)) known.set(key, rateFor(plan, years));
    return known.get(key) ?? 0n;
  };
  const isSkipped = (k: number) => plan.skippedMonths.includes(Number(dateOf(k).slice(5, 7)));
  let last = payments;
  // The last payment moves to the next date that is paid, if there is one.
  while (isSkipped(last) && last < payments + 30) last += 1;
  if (isSkipped(last)) return [];
  const periods = Array.from({ length: last }, (_, index) => {
    const k = index + 1;
    const date = dateOf(k);
    const from = k === 1 ? signed : dateOf(k - 1);
    let rate = dayCount === "equal" ? equalRate : rateBetween(from, date);
    if (k === 1 && inAdvance) rate = 0n;
    else if (k === 1 && dayCount === "equal") {
      const [n, d] = periodsBetween(signed, first, frequency);
      rate = (equalRate * n) / d;
    }
    const planned = k === last ? payments : Math.min(k, payments);
    const pay: Pay = isSkipped(k) ? { kind: "none" } : payOn(plan, planned);
    return { date, from, rate, pay };
  });
  for (let k = 0; k < plan.deferred && plan.waived; k++) (periods[k] as { rate: bigint }).rate = 0n;
  return periods;
}

function payOn(plan: ExactPlan, k: number): Pay {
  if (k <= plan.deferred) return { kind: "none" };
  if (k <= plan.deferred + plan.interestOnly) return { kind: "interest" };
  if (plan.equalPrincipal) return { kind: "principal" };
  const changes: bigint[] = [];
  let amount: bigint | undefined;
  for (const step of plan.steps) {
    if (step.from > k) break;
    if ("amount" in step) amount = step.amount;
    else if (amount === undefined) changes.push(step.hundredths);
    else amount = changed(plan, amount, step.hundredths);
  }
  return amount === undefined ? { kind: "level", changes } : { kind: "amount", amount };
}

/** A payment after a change in hundredths of a percent, rounded by the plan's rule. */
function changed({ step, rounding }: ExactPlan, before: bigint, hundredths: bigint): bigint {
  return divided(before * (10_000n + hundredths), 10_000n * step, rounding) * step;
}

/** Payments of 1, the agreed amounts and 1 at the end: what each is worth, to 200 decimals. */
function worthOf(periods: ReturnType<typeof periodsOf>, lastRate: bigint) {
  let [level, agreed, discount] = [0n, 0n, SCALE];
  for (const { rate, pay } of periods) {
    if (pay.kind === "interest") continue;
    // What is paid with all of its interest is worth what it is.
    if (pay.kind === "principal") {
      level += discount;
      continue;
    }
    discount = (discount * SCALE) / (SCALE + rate);
    if (pay.kind === "amount") agreed += discount * pay.amount;
    if (pay.kind === "level") {
      level += pay.changes.reduce((weight, change) => (weight * (10_000n + change)) / 10_000n, discount);
    }
  }
  return { level, agreed, atEnd: (discount * SCALE) / (SCALE + lastRate) };
}

export type ExactLoan = {
  /** What is solved for: the level payment, or the part of the principal. */
  solved: bigint;
  /** The first regular payment. */
  payment: bigint;
  rows: ExactRow[];
};

/** The payment and the table; undefined where the loan cannot be repaid so. */
export function exactPlanTable(plan: ExactPlan): ExactLoan | undefined {
  const periods = periodsOf(plan);
  if (periods.length === 0) return undefined;
  const last = periods.at(-1)?.date ?? plan.signed;
  const balloonDate = plan.firstPayment
    ? stepped(last, plan.frequency, 1)
    : stepped(plan.signed, plan.frequency, periods.length);
  const lastRate = plan.timing === "advance" && plan.balloon > 0n ? balloonRate(plan, last, balloonDate) : 0n;
  const { level, agreed, atEnd } = worthOf(periods, lastRate);
  if (level === 0n || (plan.extraEach > plan.amount && !plan.trims)) return undefined;
  const left = plan.amount * SCALE - agreed - plan.balloon * atEnd;
  if (left < 0n && !roundsToZero(-left, level * plan.step, plan.rounding)) return undefined;
  const payment = left < 0n ? 0n : divided(left, level * plan.step, plan.rounding) * plan.step;
  const hasLastPeriod = plan.timing === "advance" && plan.balloon > 0n;
  const given = { plan, periods, lastRate, balloonDate: hasLastPeriod ? balloonDate : last };
  const rows = rowsOf(given, payment);
  const first = periods.find(({ pay }) => pay.kind === "principal")?.date;
  const interest = rows?.find(row => row.date === first && row.interest > 0n)?.interest ?? 0n;
  return rows && { solved: payment, payment: payment + interest, rows };
}

function balloonRate(plan: ExactPlan, from: string, to: string): bigint {
  return plan.dayCount === "equal"
    ? rateFor(plan, [1n, BigInt(PER_YEAR[plan.frequency])])
    : rateFor(plan, yearsBetween(from, to, plan.dayCount));
}

type Periods = ReturnType<typeof periodsOf>;

/** A table that is being made. */
type Table = {
  rows: ExactRow[];
  balance: bigint;
  interestSoFar: bigint;
  once: ExactPlan["once"];
  /** Whether an extra has ended the loan between two dates. */
  ended: boolean;
};

/** How a table goes on: what is paid, and how it ends. */
type Course = { payment: bigint; shrinks: boolean; floor: bigint; without: ExactRow | undefined };

/** What is the same for every line of a table. */
type Given = { plan: ExactPlan; periods: Periods; lastRate: bigint; balloonDate: string };

function rowsOf(given: Given, payment: bigint, first?: bigint): ExactRow[] | undefined {
  const { plan, periods } = given;
  const once = [...plan.once].sort((x, y) => (x.date < y.date ? -1 : 1));
  const table: Table = { rows: [], balance: plan.amount, interestSoFar: 0n, once, ended: false };
  let course = hasExtras(plan) ? shrinking(given, payment, plan.amount, 0) : asPlanned(given, payment);
  for (const [index, period] of periods.entries()) {
    const lower = (at: number, interest?: bigint) => {
      course = lowered(given, table, course, at, interest);
    };
    const interest =
      index === 0 && first !== undefined
        ? first
        : interestOf(table, period, plan, rest => lower(index, rest));
    if (interest === undefined) return undefined;
    if (table.ended) break;
    const paid = paidOn(given, course, index, table.balance + interest, interest);
    if (!pays(table, period.date, paid, interest, plan, () => lower(index + 1))) return undefined;
    if (table.balance === 0n && course.floor === 0n) break;
  }
  return withBalloon(table, given, course.shrinks);
}

/** What is paid on a date of what is owed then. */
function paidOn(
  { plan, periods }: Given,
  course: Course,
  index: number,
  owed: bigint,
  interest: bigint,
): bigint {
  const { pay } = periods[index] as Periods[number];
  const later = periods.slice(index + 1);
  const { without, floor, payment } = course;
  const leavesBalloon = course.shrinks && plan.balloon > 0n;
  const extra = extraOn(plan, index + 1);
  const own = later.length === 0 && without ? lastAsked(pay, without, interest) + extra : undefined;
  const asked = own ?? askedOn(plan, pay, payment, interest, extra);
  const isAgreed = pay.kind === "amount" || pay.kind === "none" || own !== undefined;
  const planned = (later: Pay) => askedOn(plan, later, payment, 0n, 0n);
  return limited(asked, owed, later, floor, leavesBalloon, isAgreed, planned);
}

/** To the balloon, or to nothing. */
function asPlanned({ plan, lastRate }: Given, payment: bigint): Course {
  const floor = divided(plan.balloon * SCALE, SCALE + lastRate, "nearest");
  return { payment, shrinks: false, floor, without: undefined };
}

/** With extras to come the payments are those of the loan without them, and the balloon is what is left. */
function shrinking(given: Given, payment: bigint, amount: bigint, from: number, first?: bigint): Course {
  const { plan, periods } = given;
  const plain = { ...plan, amount, extraEach: 0n, once: [] };
  const rest = { ...given, plan: plain, periods: periods.slice(from) };
  const without = plan.balloon > 0n ? rowsOf(rest, payment, first)?.at(-2) : undefined;
  return { payment, shrinks: true, floor: 0n, without };
}

/** After money that lowers the payments from a date on: what is left is worth what is owed. */
function lowered(given: Given, table: Table, course: Course, from: number, interest?: bigint): Course {
  const { plan, periods, lastRate } = given;
  const rest = periods.slice(from);
  const [next] = rest;
  if (!next || table.balance === 0n) return course;
  const isOnTop = next.pay.kind === "principal" || next.pay.kind === "interest";
  const owed = interest === undefined || isOnTop ? table.balance : table.balance + interest;
  const valued = interest === undefined ? rest : [{ ...next, rate: 0n }, ...rest.slice(1)];
  const { level, agreed, atEnd } = worthOf(valued, lastRate);
  if (level === 0n) return course;
  const left = owed * SCALE - agreed - plan.balloon * atEnd;
  const payment = left <= 0n ? 0n : divided(left, level * plan.step, plan.rounding) * plan.step;
  const hasMore =
    table.once.length > 0 || periods.some((_, index) => index >= from && extraOn(plan, index + 1) > 0n);
  return hasMore || payment === 0n
    ? shrinking(given, payment, table.balance, from, interest)
    : asPlanned(given, payment);
}

/** The rows, with what is left at the end as the last one. */
function withBalloon(
  { rows, balance }: Table,
  { plan, lastRate, balloonDate }: Given,
  shrinks: boolean,
): ExactRow[] {
  if (balance === 0n) return rows;
  const payment = shrinks ? balance + halfUp(balance * lastRate) : plan.balloon;
  const row = { date: balloonDate, payment, interest: payment - balance, principal: balance, balance: 0n };
  return [...rows, row];
}

function hasExtras({ extraEach, once }: ExactPlan): boolean {
  return extraEach > 0n || once.length > 0;
}

/** What is paid on top on a payment date. */
const extraOn = ({ extraEach, eachFrom = 1, eachTo = 10_000 }: ExactPlan, k: number): bigint =>
  k >= eachFrom && k <= eachTo ? extraEach : 0n;

/** What the last date asks for where extras leave the rest to the balloon: what it takes without them. */
const lastAsked = (pay: Pay, without: ExactRow, interest: bigint): bigint =>
  pay.kind === "principal" || pay.kind === "interest" ? without.principal + interest : without.payment;

/** The last closes; no other takes more than is owed, nor one that is not agreed so much that the floor is not reached. */
function limited(
  asked: bigint,
  owed: bigint,
  later: Periods,
  floor: bigint,
  leavesBalloon: boolean,
  isAgreed: boolean,
  planned: (pay: Pay) => bigint,
): bigint {
  if (later.length === 0 && !leavesBalloon) return owed - floor;
  if (floor === 0n || isAgreed) return smaller(asked, owed);
  // Never more than the floor and all that is agreed has to be left.
  const most = floor + agreedIn(later);
  return asked <= owed - most ? asked : smaller(asked, owed - leastLeft(later, floor, planned));
}

/** The interest of a period, less what extras on its days have paid of it; undefined where one is too large. */
function interestOf(
  table: Table,
  { date, from, rate }: Periods[number],
  { trims = false }: ExactPlan,
  lower: (interest: bigint) => void,
): bigint | undefined {
  const days = BigInt(Math.max(daysBetween(from, date), 1));
  let [balanceDays, since, interestPaid] = [0n, from, 0n];
  for (let extra = table.once[0]; extra && extra.date < date; extra = table.once[0]) {
    table.once.shift();
    balanceDays += table.balance * BigInt(daysBetween(since, extra.date));
    since = extra.date;
    const accrued = halfUp((balanceDays * rate) / days) - interestPaid;
    if (extra.amount > table.balance + accrued && !trims) return undefined;
    const payment = smaller(extra.amount, table.balance + accrued);
    const principal = smaller(payment, table.balance);
    const interest = payment - principal;
    table.balance -= principal;
    table.interestSoFar += interest;
    interestPaid += interest;
    if (payment > 0n) table.rows.push({ date: since, payment, interest, principal, balance: table.balance });
    table.ended = table.balance === 0n && interest === accrued;
    if (table.ended) return 0n;
    const stillOwed = balanceDays + table.balance * BigInt(daysBetween(since, date));
    if (extra.lowers) lower(halfUp((stillOwed * rate) / days) - interestPaid);
  }
  // A period of no days has the interest of one.
  const left = BigInt(daysBetween(since, date) || (since === from ? 1 : 0));
  return halfUp(((balanceDays + table.balance * left) * rate) / days) - interestPaid;
}

/** Adds a payment, and the extras on its day; false where it cannot be. */
function pays(
  table: Table,
  date: string,
  paid: bigint,
  interest: bigint,
  { trims = false }: ExactPlan,
  lower: () => void,
): boolean {
  if (paid < 0n) return false;
  table.balance += interest - paid;
  table.interestSoFar += interest;
  if (table.balance > 2n ** 50n || table.interestSoFar >= 2n ** 53n) return false;
  table.rows.push({ date, payment: paid, interest, principal: paid - interest, balance: table.balance });
  for (let extra = table.once[0]; extra?.date === date && table.balance > 0n; extra = table.once[0]) {
    table.once.shift();
    if (extra.amount > table.balance && !trims) return false;
    const amount = smaller(extra.amount, table.balance);
    table.balance -= amount;
    table.rows.push({ date, payment: amount, interest: 0n, principal: amount, balance: table.balance });
    if (extra.lowers) lower();
  }
  return true;
}

const smaller = (a: bigint, b: bigint) => (a < b ? a : b);

const agreedIn = (periods: Periods) =>
  periods.reduce((sum, { pay }) => sum + (pay.kind === "amount" ? pay.amount : 0n), 0n);

/**
 * The least that can be left owing, so that the floor is reached, by halving: later dates pay what is agreed for them, or
 * what is planned but no more than interest, and the last one nothing.
 */
function leastLeft(later: Periods, floor: bigint, planned: (pay: Pay) => bigint): bigint {
  const reaches = (left: bigint) =>
    later.reduce((owed, { rate, pay }, index) => {
      const interest = halfUp(owed * rate);
      if (index === later.length - 1 || pay.kind === "none") return owed + interest;
      if (pay.kind === "amount") return owed + interest - pay.amount;
      return pay.kind === "level" ? owed + interest - smaller(planned(pay), interest) : owed;
    }, left) >= floor;
  let [short, enough] = [-1n, floor + agreedIn(later)];
  while (enough - short > 1n) {
    const middle = (enough + short) / 2n;
    if (reaches(middle)) enough = middle;
    else short = middle;
  }
  return enough;
}

/** What a date asks for, extra and all. */
function askedOn(plan: ExactPlan, pay: Pay, payment: bigint, interest: bigint, extra: bigint): bigint {
  switch (pay.kind) {
    case "none":
      return 0n;
    case "interest":
      return interest + extra;
    case "principal":
      return payment + interest + extra;
    case "amount":
      return pay.amount + extra;
    case "level":
      return pay.changes.reduce((before, change) => changed(plan, before, change), payment) + extra;
  }
}
