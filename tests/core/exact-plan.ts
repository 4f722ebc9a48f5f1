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
  once: { date: string; amount: bigint }[];
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
  const periods = Array.from({ length: payments }, (_, index) => {
    const k = index + 1;
    const date = dateOf(k);
    const from = k === 1 ? signed : dateOf(k - 1);
    let rate = dayCount === "equal" ? equalRate : rateBetween(from, date);
    if (k === 1 && inAdvance) rate = 0n;
    else if (k === 1 && dayCount === "equal") {
      const [n, d] = periodsBetween(signed, first, frequency);
      rate = (equalRate * n) / d;
    }
    return { date, from, rate, pay: payOn(plan, k, date) };
  });
  for (let k = 0; k < plan.deferred && plan.waived; k++) (periods[k] as { rate: bigint }).rate = 0n;
  while (periods.at(-1)?.pay.kind === "none") periods.pop();
  return periods;
}

function payOn(plan: ExactPlan, k: number, date: string): Pay {
  if (k <= plan.deferred || plan.skippedMonths.includes(Number(date.slice(5, 7)))) return { kind: "none" };
  if (k <= plan.interestOnly) return { kind: "interest" };
  if (plan.equalPrincipal) return { kind: "principal" };
  const changes: bigint[] = [];
  let amount: bigint | undefined;
  for (const step of plan.steps) {
    if (step.from > k) break;
    if ("amount" in step) amount = step.amount;
    else {
      amount = undefined;
      changes.push(step.hundredths);
    }
  }
  return amount === undefined ? { kind: "level", changes } : { kind: "amount", amount };
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
  if (level === 0n || plan.extraEach > plan.amount) return undefined;
  const left = plan.amount * SCALE - agreed - plan.balloon * atEnd;
  if (left < 0n && !roundsToZero(-left, level * plan.step, plan.rounding)) return undefined;
  const payment = left < 0n ? 0n : divided(left, level * plan.step, plan.rounding) * plan.step;
  const hasLastPeriod = plan.timing === "advance" && plan.balloon > 0n;
  const rows = rowsOf(plan, periods, payment, lastRate, hasLastPeriod ? balloonDate : last);
  const first = periods.find(({ pay }) => pay.kind === "principal")?.date;
  const interest = rows?.find(row => row.date === first && row.interest > 0n)?.interest ?? 0n;
  return rows && { solved: payment, payment: payment + interest, rows };
}

function balloonRate(plan: ExactPlan, from: string, to: string): bigint {
  return plan.dayCount === "equal"
    ? rateFor(plan, [1n, BigInt(PER_YEAR[plan.frequency])])
    : rateFor(plan, yearsBetween(from, to, plan.dayCount));
}

type Table = { rows: ExactRow[]; balance: bigint; once: ExactPlan["once"] };

/** Takes the extras before a date, or on it; gives what they take off the balance times days, or undefined. */
function takeExtras(table: Table, until: string, isOn: boolean): bigint | undefined {
  const { rows, once } = table;
  let off = 0n;
  for (let extra = once[0]; extra && (isOn ? extra.date === until : extra.date < until); extra = once[0]) {
    once.shift();
    if (extra.amount > table.balance) return undefined;
    table.balance -= extra.amount;
    off += extra.amount * BigInt(daysBetween(extra.date, until));
    const { date, amount } = extra;
    rows.push({ date, payment: amount, interest: 0n, principal: amount, balance: table.balance });
  }
  return off;
}

function rowsOf(
  plan: ExactPlan,
  periods: ReturnType<typeof periodsOf>,
  payment: bigint,
  lastRate: bigint,
  balloonDate: string,
): ExactRow[] | undefined {
  const shrinks = plan.extraEach > 0n || plan.once.length > 0;
  const floor =
    shrinks || plan.balloon === 0n ? 0n : divided(plan.balloon * SCALE, SCALE + lastRate, "nearest");
  const once = [...plan.once].sort((a, b) => (a.date < b.date ? -1 : 1));
  const table: Table = { rows: [], balance: plan.amount, once };
  const { rows } = table;
  let interestSoFar = 0n;
  for (const [index, { date, from, rate, pay }] of periods.entries()) {
    const days = BigInt(Math.max(daysBetween(from, date), 1));
    const owed = table.balance;
    const off = takeExtras(table, date, false);
    if (off === undefined) return undefined;
    const interest = halfUp(((owed * days - off) * rate) / days);
    const due = table.balance + interest - floor;
    const isAbove = table.balance >= floor;
    const paid = paidOn(plan, pay, payment, interest, due, isAbove, index === periods.length - 1);
    table.balance += interest - paid;
    interestSoFar += interest;
    if (paid < 0n || table.balance > 2n ** 50n || interestSoFar >= 2n ** 53n) return undefined;
    rows.push({ date, payment: paid, interest, principal: paid - interest, balance: table.balance });
    if (takeExtras(table, date, true) === undefined) return undefined;
    if (table.balance === 0n && floor === 0n) break;
  }
  const { balance } = table;
  if (balance > 0n) {
    const amount = shrinks ? balance + halfUp(balance * lastRate) : plan.balloon;
    rows.push({
      date: balloonDate,
      payment: amount,
      interest: amount - balance,
      principal: balance,
      balance: 0n,
    });
  }
  return once.length > 0 ? undefined : rows;
}

function paidOn(
  plan: ExactPlan,
  pay: Pay,
  payment: bigint,
  interest: bigint,
  due: bigint,
  isAbove: boolean,
  isLast: boolean,
): bigint {
  const leavesBalloon = plan.balloon > 0n && (plan.extraEach > 0n || plan.once.length > 0);
  if (isLast && !leavesBalloon) return due;
  let paid = 0n;
  if (pay.kind === "interest") paid = interest + plan.extraEach;
  if (pay.kind === "principal") paid = payment + interest + plan.extraEach;
  if (pay.kind === "amount") paid = pay.amount + plan.extraEach;
  if (pay.kind === "level") {
    const level = pay.changes.reduce(
      (before, change) =>
        divided(before * (10_000n + change), 10_000n * plan.step, plan.rounding) * plan.step,
      payment,
    );
    paid = level + plan.extraEach;
  }
  return paid > due && isAbove ? due : paid;
}
