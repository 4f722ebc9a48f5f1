// Loans of every shape in whole numbers, sharing no code with the core: rates by decimal.js where they are no
// fractions, discount factors multiplied out one by one to 200 decimals.
import Decimal from "decimal.js";
import {
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
export function halfUp(scaled: bigint): bigint {
  return (scaled + SCALE / 2n + TIE) / SCALE;
}

export function divided(numerator: bigint, denominator: bigint, rounding: ExactPlan["rounding"]): bigint {
  const near = (numerator * SCALE) / denominator;
  if (rounding === "nearest") return halfUp(near);
  const below = (near + TIE) / SCALE;
  return rounding === "up" && near - below * SCALE > TIE ? below + 1n : below;
}

/** Whether a payment below zero, given by its size, is no payment once it is rounded. */
export function roundsToZero(size: bigint, step: bigint, rounding: ExactPlan["rounding"]): boolean {
  if (rounding === "down") return false;
  return rounding === "up" ? size < step : 2n * size <= step;
}

/** The rate of a part of a year, to 200 decimals. */
export function rateFor({ yearlyRate, compounding }: ExactPlan, [n, d]: [bigint, bigint]): bigint {
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

export type Pay =
  | { kind: "level"; changes: bigint[] }
  | { kind: "amount"; amount: bigint }
  | { kind: "interest" | "none" | "principal" };

/** Dates, rates and what is paid on each payment date. */
export function periodsOf(plan: ExactPlan): { date: string; from: string; rate: bigint; pay: Pay }[] {
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
export function changed({ step, rounding }: ExactPlan, before: bigint, hundredths: bigint): bigint {
  return divided(before * (10_000n + hundredths), 10_000n * step, rounding) * step;
}

/** Payments of 1, the agreed amounts and 1 at the end: what each is worth, to 200 decimals. */
export function worthOf(periods: ReturnType<typeof periodsOf>, lastRate: bigint) {
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

export type Periods = ReturnType<typeof periodsOf>;
