import type { DayNumber } from "../../calendar";
import { NO_RATE } from "../../interest";
import { flatTrueRate } from "../../kinds/loan/plan";
import { totalWithPayments } from "../../structure";
import { type Measured, rowInterest, type WayRow } from "../way";
import { aprOfWay } from "./apr";
import { type Basis, basisOf } from "./basis";
import { leastOwedBy } from "./least";
import type { LoanWay } from "./loan-way";
import { flatRepaidBy, owedForBalloon, repaidBy, type ToRepay, type WayRepaid } from "./rows";
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
  const toRepay: ToRepay = {
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
    least: once(() => leastOwedBy(toRepay, owedForBalloon(toRepay))),
  };
  const rows = once(() => rowsBy(into => repaidBy(toRepay, into)));
  const firstOfPrincipal = basis.pays.findIndex(({ kind }) => kind === "principal");
  return figuresOf(basis, way, timeline, {
    // Where a part of the principal is solved for, the payment is the first one.
    payment:
      firstOfPrincipal < 0
        ? solved.rounded
        : Math.round(solved.rounded + (rows()[firstOfPrincipal]?.interest ?? 0)),
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
  return figuresOf(basis, way, timeline, {
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
  timeline: Timeline,
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
    apr: once(() => aprOfWay(basis, way, timeline, rows())),
    payoff,
  };
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
  // What is waived for the period is waived for its days.
  const rate = of === NO_RATE ? of : timeline.between(period.from, on, { of, days: period.days });
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
