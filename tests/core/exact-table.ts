// The table of such a loan, line by line: with money on top, and with payments that money lowers.
import { daysBetween } from "./exact-dates";
import {
  changed,
  divided,
  type ExactPlan,
  type ExactRow,
  halfUp,
  type Pay,
  type Periods,
  SCALE,
  worthOf,
} from "./exact-periods";

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
export type Given = { plan: ExactPlan; periods: Periods; lastRate: bigint; balloonDate: string };

export function rowsOf(given: Given, payment: bigint, first?: bigint): ExactRow[] | undefined {
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
