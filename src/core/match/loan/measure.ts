import { type DayNumber, dayNumber, periodStepper } from "../../calendar";
import { flatTrueRate } from "../../kinds/loan/plan";
import { totalWithPayments } from "../../structure";
import { annualPercentageRate } from "../../yield";
import { type Measured, rowInterest, type WayRow } from "../way";
import { type Basis, basisOf } from "./basis";
import type { LoanWay } from "./loan-way";
import { flatRepaidBy, repaidBy, type WayRepaid } from "./rows";
import { flatSolved, type Solved, solvedBy } from "./solved";
import { type Timeline, timelineOf } from "./timeline";

/** What a loan comes to by a way; null where there is no such loan. */
export function measureLoan(way: LoanWay, earlyFee: (on: DayNumber) => number): Measured | null {
  const basis = basisOf(way.deal);
  const timeline = basis && timelineOf(basis, way);
  if (!basis || !timeline) return null;
  return way.isFlat
    ? measureFlat(basis, way, timeline, earlyFee)
    : measureRated(basis, way, timeline, earlyFee);
}

function measureRated(
  basis: Basis,
  way: LoanWay,
  timeline: Timeline,
  earlyFee: (on: DayNumber) => number,
): Measured | null {
  const solved = solvedBy(basis, way, timeline);
  if (!solved) return null;
  const rounding = way.rounding ?? { rule: "nearest" as const, step: 1 };
  const toRepay = {
    amount: basis.lent.loanAmount,
    solved: solved.rounded,
    rounding,
    pays: basis.pays,
    isAllLevel: basis.isAllLevel,
    timeline,
    balloon: basis.balloon,
    rows: way.rows,
    isLastAdjusted: way.isLastAdjusted,
    isFirstOwn: way.firstDays === "onFirstPayment",
  };
  const rows = once(() => rowsBy(into => repaidBy(toRepay, into)));
  const isOfPrincipal = basis.pays[0]?.kind === "principal";
  return figuresOf(basis, way, {
    // Where a part of the principal is solved for, the payment is the first one.
    payment: isOfPrincipal ? (rows()[0]?.payment ?? 0) : solved.rounded,
    unrounded: solved.unrounded,
    repaid: once(() => repaidBy(toRepay)),
    rows,
    payoff: on => payoffBy(basis, way, timeline, rows(), on, earlyFee),
  });
}

function measureFlat(
  basis: Basis,
  way: LoanWay,
  timeline: Timeline,
  earlyFee: (on: DayNumber) => number,
): Measured | null {
  const { lent, terms, isLevel } = basis;
  if (!isLevel || terms.isListed) return null;
  const { flat } = terms.draft;
  const solved = flatSolved(basis, way);
  const toRepay = once(() => ({
    amount: lent.loanAmount,
    charge: solved.charge,
    payment: solved.rounded,
    count: terms.payments,
    trueRate:
      flat?.earning === "sumOfDigits" ? null : flatTrueRate(lent.loanAmount, solved.charge, terms.payments),
    earnedByDigits: (after: number) => flat?.earnedByDigits(solved.charge, after) ?? 0,
    dateOf: timeline.dateOf,
    rows: way.rows,
    isLastAdjusted: way.isLastAdjusted,
  }));
  const rows = once(() => rowsBy(into => flatRepaidBy(toRepay(), into)));
  return figuresOf(basis, way, {
    payment: solved.rounded,
    unrounded: solved.unrounded,
    repaid: once(() => flatRepaidBy(toRepay())),
    rows,
    payoff: on => flatPayoff(rows(), lent.loanAmount, timeline, on, earlyFee),
  });
}

function rowsBy(repay: (into: WayRow[]) => unknown): WayRow[] {
  const rows: WayRow[] = [];
  repay(rows);
  return rows;
}

/** Works out once, when it is first asked for. */
function once<Value>(make: () => Value): () => Value {
  let made: { value: Value } | undefined;
  return () => {
    made ??= { value: make() };
    return made.value;
  };
}

type Repaid = {
  payment: number;
  unrounded: Solved["unrounded"];
  repaid: () => WayRepaid;
  rows: Measured["rows"];
  payoff: Measured["payoff"];
};

function figuresOf(
  basis: Basis,
  way: LoanWay,
  { payment, unrounded, repaid, rows, payoff }: Repaid,
): Measured {
  const { lent, charges } = basis;
  const withCharges = () => repaid().totalOfPayments + totalWithPayments(charges, repaid().paid);
  return {
    payment,
    unrounded,
    lastPayment: () => repaid().lastPayment,
    totalOfPayments: withCharges,
    financeCharge: () => withCharges() - lent.loanAmount + lent.prepaid,
    amountFinanced: lent.amountFinanced,
    rows,
    apr: once(() => aprOf(basis, way, rows())),
    payoff,
  };
}

/** Where periods are counted from without dates: a day that every month has, 365 days after the year before. */
const SOME_START: DayNumber = dayNumber(2003, 1, 1);

/** Percent a year; undefined where no rate makes the payments worth what is financed. */
function aprOf(basis: Basis, way: LoanWay, rows: readonly WayRow[]): number | undefined {
  const { deal, lent, charges } = basis;
  const start = way.interestFrom ?? basis.terms.draft.calendar.start;
  const dateOf = periodStepper(deal.plan.frequency, SOME_START);
  const { each, first, last } = charges;
  const payments = rows.map(({ date, number, payment }, index) => ({
    date: start === null || date === null ? dateOf(way.timing === "advance" ? number - 1 : number) : date,
    amount: payment + each + (index === 0 ? first : 0) + (index === rows.length - 1 ? last : 0),
  }));
  const apr = annualPercentageRate({
    advances: [{ date: start ?? SOME_START, amount: lent.amountFinanced }],
    payments: payments.filter(({ amount }) => amount > 0),
  });
  return apr.ok ? apr.value.percent : undefined;
}

/** The payment before a day, and how long the period is in which it lies; undefined without dates, or outside. */
function periodOn(
  rows: readonly WayRow[],
  amount: number,
  { start, dateOf }: Timeline,
  on: DayNumber,
): { after: number; owed: number; from: DayNumber; days: number } | undefined {
  if (start === null || on < start) return undefined;
  let after = 0;
  while (after < rows.length && (rows[after]?.date ?? Number.POSITIVE_INFINITY) <= on) after += 1;
  const last = rows[after - 1];
  const from = last ? (last.date ?? start) : start;
  const to = dateOf(after + 1);
  if (to === null || after >= rows.length) return undefined;
  return { after, owed: last ? last.balance : amount, from, days: Math.max(to - from, 1) };
}

function payoffBy(
  { lent, terms }: Basis,
  way: LoanWay,
  timeline: Timeline,
  rows: readonly WayRow[],
  on: DayNumber,
  earlyFee: (on: DayNumber) => number,
): number | undefined {
  const period = periodOn(rows, lent.loanAmount, timeline, on);
  const of = period && (timeline.rates[period.after] ?? timeline.balloonRate);
  if (!period || !of || terms.isListed) return undefined;
  const rate = timeline.between(period.from, on, { of, days: period.days });
  return period.owed + rowInterest(period.owed, rate, way.rows) + earlyFee(on);
}

/** A flat-rate loan earns its row's part of the charge day by day. */
function flatPayoff(
  rows: readonly WayRow[],
  amount: number,
  timeline: Timeline,
  on: DayNumber,
  earlyFee: (on: DayNumber) => number,
): number | undefined {
  const period = periodOn(rows, amount, timeline, on);
  if (!period) return undefined;
  const interest = rows[period.after]?.interest ?? 0;
  return period.owed + Math.round((interest * (on - period.from)) / period.days) + earlyFee(on);
}
