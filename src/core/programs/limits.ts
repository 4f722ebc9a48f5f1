import { decimalOf } from "./decimals";
import type { DealFacts } from "./facts";
import type { Amounts, Timed } from "./measured";
import { plainName } from "./plain-name";
import type { Lent, Program, Worth } from "./program";
import { compared, type Quotient } from "./quotient";
import type { Fact, LimitName, Reason } from "./reason";
import { rowAt } from "./with-program";
import { distanceIn, worthOf } from "./worth";

const MONTHS = 12;

/** A deal as the limits of a program see it. */
export type Seen = {
  facts: DealFacts;
  times: Timed;
  /** The year of signing. */
  year: number;
  currency: string;
  /** What its lines are called, without capitals and spaces. */
  names: readonly string[];
};

/** What is reckoned of a deal with a program. */
export type Reckoned = Seen & {
  amounts: Amounts;
  /** The greatest regular payment with tax and charges, in minor units; null without a rate. */
  payment: number | null;
};

/** A limit: why a program does not fit, or what is not known of it; nothing where it holds. */
type Limit<Of> = (program: Program, of: Of) => readonly Reason[];

const NONE: readonly Reason[] = [];
const unknown = (limit: LimitName, ...facts: Fact[]): Reason[] => [{ limit, as: "unknown", facts }];

/** What can be told before anything is priced. */
const OF_FACTS: Limit<Seen>[] = [
  ({ currency: asked }, { currency: is }) =>
    asked === is ? NONE : [{ limit: "currency", as: "currency", is, asked }],
  ({ from, to }, { facts: { day } }) => {
    if (from !== null && day < from) return [{ limit: "valid", as: "day", bound: "begins", day: from }];
    return to !== null && day > to ? [{ limit: "valid", as: "day", bound: "ranOut", day: to }] : NONE;
  },
  ({ condition: asked }, { facts: { condition: is } }) => {
    if (asked === null || asked === is) return NONE;
    return is === null
      ? unknown("condition", "condition")
      : [{ limit: "condition", as: "condition", is, asked }];
  },
  ({ mostYears }, { facts: { modelYear }, year }) => yearsLimit("years", mostYears, modelYear, year),
  ({ mostYearsAtEnd }, { facts: { modelYear }, times }) =>
    yearsLimit("yearsAtEnd", mostYearsAtEnd, modelYear, times.lastYear),
  ({ mostDistance, unit }, { facts }) => {
    if (mostDistance === null) return NONE;
    const distance = distanceIn(facts, unit);
    if (distance === null) return unknown("distance", "distance");
    const told = unit ?? facts.unit ?? undefined;
    return mostCount("distance", distance, mostDistance, told);
  },
  ({ firstPaymentWithin }, { times: { daysToFirst } }) =>
    firstPaymentWithin === null || daysToFirst === null
      ? NONE
      : mostCount("firstPayment", daysToFirst, firstPaymentWithin),
  ({ notWith }, { names }) => {
    if (notWith.length === 0 || names.length === 0) return NONE;
    const found = notWith.filter(name => names.includes(plainName(name)));
    return found.length > 0 ? [{ limit: "notWith", as: "names", names: found }] : NONE;
  },
];

/** What can be told once the deal's amounts, and with its rate its payment, are reckoned. */
const OF_AMOUNTS: Limit<Reckoned>[] = [
  ({ leastAmount, mostAmount }, { amounts: { lent } }) => {
    const amount = lent.all;
    if (leastAmount !== null && amount < leastAmount)
      return [{ limit: "amount", as: "amount", amount, bound: "least", value: leastAmount }];
    return mostAmount !== null && amount > mostAmount
      ? [{ limit: "amount", as: "amount", amount, bound: "most", value: mostAmount }]
      : NONE;
  },
  ({ mostLoanTo }, seen) =>
    mostLoanTo.flatMap(({ percent, of, what }) =>
      mostOf("loanTo", seen.amounts.lent[what], percent, of, seen, what),
    ),
  ({ leastDown }, { amounts: { brought, price } }) => {
    if (leastDown === null || price <= 0) return NONE;
    const percent = { numerator: Math.max(brought, 0), denominator: price };
    return compared(percent, decimalOf(leastDown)) >= 0
      ? NONE
      : [{ limit: "down", as: "percent", percent, bound: "least", value: leastDown }];
  },
  ({ mostExtras }, seen) =>
    mostExtras ? mostOf("extras", seen.amounts.extras, mostExtras.percent, mostExtras.of, seen) : NONE,
  (program, seen) => balloonLimit(program, seen),
  (program, seen) =>
    program.kind === "lease" && program.mostCostToListPrice !== null
      ? mostOf("costToListPrice", seen.amounts.lent.all, program.mostCostToListPrice, "listPrice", seen)
      : NONE,
  ({ mostPaymentToIncome }, seen) =>
    mostPaymentToIncome === null ? NONE : incomeLimit("paymentToIncome", mostPaymentToIncome, seen, []),
  ({ mostDebtToIncome }, seen) =>
    mostDebtToIncome === null
      ? NONE
      : incomeLimit("debtToIncome", mostDebtToIncome, seen, ["housing", "debts"]),
];

function yearsLimit(
  limit: "years" | "yearsAtEnd",
  most: number | null,
  modelYear: number | null,
  year: number,
): readonly Reason[] {
  if (most === null) return NONE;
  return modelYear === null ? unknown(limit, "modelYear") : mostCount(limit, year - modelYear, most);
}

const mostCount = (
  limit: LimitName,
  count: number,
  value: number,
  unit?: "km" | "mi" | undefined,
): readonly Reason[] =>
  count > value ? [{ limit, as: "count", count, bound: "most", value, ...(unit && { unit }) }] : NONE;

/** An amount that may be so many percent of another one. */
function mostOf(
  limit: LimitName,
  amount: number,
  most: string,
  of: Worth,
  { amounts, facts }: Reckoned,
  what?: Lent,
): readonly Reason[] {
  const whole = worthOf(of, amounts, facts);
  if (whole === null || whole <= 0) return of === "price" ? NONE : unknown(limit, of);
  const percent = { numerator: Math.max(amount, 0), denominator: whole };
  return mostPercent(limit, percent, most, { of, ...(what && { what }) });
}

const mostPercent = (
  limit: LimitName,
  percent: Quotient,
  value: string,
  told: { of?: Worth; what?: Lent } = {},
): readonly Reason[] =>
  compared(percent, decimalOf(value)) > 0
    ? [{ limit, as: "percent", percent, bound: "most", value, ...told }]
    : NONE;

function balloonLimit(program: Program, seen: Reckoned): readonly Reason[] {
  const { balloon } = seen.amounts;
  if (program.kind === "lease" || program.balloon === null) return NONE;
  const row = rowAt(program.balloon, seen.times.months);
  if (!row) return balloon !== null || program.kind === "balloon" ? [{ limit: "balloon", as: "none" }] : NONE;
  // A balloon program without one agreed brings its own, where it knows what that is a percent of.
  if (balloon === null)
    return program.kind === "balloon" && row.of === "listPrice" ? unknown("balloon", "listPrice") : NONE;
  return mostOf("balloon", balloon, row.most, row.of, seen);
}

/** Payments a year, and debts a month, of the income of a month. */
function incomeLimit(
  limit: "paymentToIncome" | "debtToIncome",
  most: string,
  { facts, payment, times }: Reckoned,
  debts: readonly ("housing" | "debts")[],
): readonly Reason[] {
  if (payment === null) return NONE;
  const missing = (["income", ...debts] as const).filter(fact => facts[fact] === null);
  const { income } = facts;
  if (missing.length > 0 || income === null || income <= 0)
    return unknown(limit, ...(missing.length > 0 ? missing : (["income"] as const)));
  const monthly = debts.reduce((sum, debt) => sum + (facts[debt] ?? 0), 0);
  const owed = debts.length > 0 ? Math.max(monthly - (facts.paidOff ?? 0), 0) : 0;
  const percent = { numerator: payment * times.perYear + owed * MONTHS, denominator: income * MONTHS };
  return mostPercent(limit, percent, most);
}

export const limitsOfFacts = (program: Program, seen: Seen): Reason[] => brokenOf(OF_FACTS, program, seen);

export const limitsOfAmounts = (program: Program, seen: Reckoned): Reason[] =>
  brokenOf(OF_AMOUNTS, program, seen);

function brokenOf<Of>(limits: readonly Limit<Of>[], program: Program, seen: Of): Reason[] {
  const reasons: Reason[] = [];
  for (const limit of limits) {
    const broken = limit(program, seen);
    if (broken.length > 0) reasons.push(...broken);
  }
  return reasons;
}
