import { byPay, type Pay, type Run } from "../../../annuity";
import { type PeriodRate, periodInterest, simpleRate } from "../../../interest";
import { roundWhenSure } from "../../../money";
import { ONE, over } from "../../../precise";
import type { ExtraEvent } from "../extras";
import { repayFlatRate } from "./flat-rate-table";
import type { Loan } from "./loan";
import type { PaymentRow, Repayment, RowKind } from "./row";
import { steppedPayment } from "./stepped-payment";

/** Why a loan cannot be repaid as planned. */
export type Fault =
  /** What is owed grows beyond what can be counted exactly. */
  | { fault: "grows" }
  /** An extra on a date is more than is owed then. */
  | { fault: "extra"; event: ExtraEvent; owed: number }
  /** The payments take what is owed below the balloon. */
  | { fault: "overpaid"; short: number };

/** Whether a loan could be repaid. */
export function isFault(repaid: Repayment | Fault): repaid is Fault {
  return "fault" in repaid;
}

/** A loan that grows so far is not being repaid. */
const LARGEST_BALANCE = 2 ** 50;
/** Sums past this are no longer exact integers. */
const LARGEST_SUM = Number.MAX_SAFE_INTEGER;

/** How far a loan is repaid; changes row by row. */
type Standing = {
  loan: Loan;
  rows: PaymentRow[] | undefined;
  /** Whether extras take the loan below its plan, so that the balloon is what is then left. */
  shrinks: boolean;
  /** What the payments leave owing. */
  floor: number;
  /** The date whose payment takes all that is owed; 0 where extras leave that to the balloon. */
  closing: number;
  number: number;
  balance: number;
  totalInterest: number;
  finalPayment: number;
  /** On how many dates something was paid. */
  paid: number;
  nextExtra: number;
};

/**
 * Repays a loan, splitting each payment into interest and principal.
 *
 * Interest is rounded half up to the minor unit. The last payment is the balance with its interest, so that
 * the balance ends at exactly zero, or exactly at the balloon; where a payment rounded up clears the loan
 * sooner, the table ends there. An extra between two payments lowers the balance from its day on; with
 * extras the balloon is what is then left of it.
 *
 * @param loan ready to be repaid
 * @param rows where to put the lines of the table; without it only the totals are made
 * @returns the totals, or why the loan cannot be repaid so
 * @example repay(loan) // { payments: 12, finalPayment: 86070, … }
 */
export function repay(loan: Loan, rows?: PaymentRow[]): Repayment | Fault {
  if (loan.draft.flat) return repayFlatRate(loan, loan.draft.flat.earning, rows);
  const standing = unpaid(loan, rows);
  for (const run of loan.draft.runs) {
    const fault = repayRun(standing, run);
    if (fault) return fault;
    if (standing.balance === 0 && standing.floor === 0) break;
  }
  const late = loan.extras[standing.nextExtra];
  if (late && !late.trimmed) return { fault: "extra", event: late, owed: 0 };
  return closed(standing);
}

/**
 * The first regular payment of a loan, without extras: the level payment, or the part of the principal with the
 * interest of its date.
 *
 * @param loan ready to be repaid
 * @returns minor units; 0 where every payment is agreed
 * @example regularPayment(loan) // 86066
 */
export function regularPayment(loan: Loan): number {
  const { draft, solved } = loan;
  if (draft.flat || !draft.runs.some(({ pay }) => pay.kind === "principal")) return solved;
  const standing = unpaid(loan, undefined);
  for (const run of draft.runs) {
    if (run.pay.kind === "principal") {
      const number = standing.number + 1;
      const meetsExtra = loan.extras[standing.nextExtra]?.before === number;
      const interest = meetsExtra
        ? interestWithExtras(standing, number, run.rate)
        : periodInterest(standing.balance, run.rate);
      return typeof interest === "number" ? solved + interest : solved;
    }
    if (repayRun(standing, run)) break;
  }
  return solved;
}

function unpaid(loan: Loan, rows: PaymentRow[] | undefined): Standing {
  const shrinks = loan.extraEach > 0 || loan.extras.length > 0;
  return {
    loan,
    rows,
    shrinks,
    floor: shrinks ? 0 : owedBeforeBalloon(loan),
    closing: shrinks && loan.balloon > 0 ? 0 : loan.draft.payments,
    number: 0,
    balance: loan.amount,
    totalInterest: 0,
    finalPayment: 0,
    paid: 0,
    nextExtra: 0,
  };
}

/** Repays the payments of one run: stretches without extras, and between them the dates that extras come before. */
function repayRun(standing: Standing, run: Run): Fault | undefined {
  const planned = plannedPayment(run.pay, standing.loan);
  for (const end = standing.number + run.count; standing.number < end; ) {
    const { loan, nextExtra, number } = standing;
    const nextWithExtra = loan.extras[nextExtra]?.before ?? end + 1;
    const fault =
      nextWithExtra === number + 1
        ? repayWithExtras(standing, planned, run.rate)
        : repayStretch(standing, planned, run.rate, Math.min(end, nextWithExtra - 1));
    if (fault) return fault;
    if (standing.balance === 0 && standing.floor === 0) return undefined;
  }
  return undefined;
}

/** Repays on one date, with the extras that come before it or fall on it. */
function repayWithExtras(standing: Standing, planned: Planned, rate: PeriodRate): Fault | undefined {
  const number = standing.number + 1;
  const interest = interestWithExtras(standing, number, rate);
  if (typeof interest !== "number") return interest;
  return repayStretch(standing, planned, rate, number, interest) ?? takeExtras(standing, number);
}

/**
 * Repays on dates up to a last one, without extras on the way.
 *
 * @param first the interest of the first date, where extras before it have made it another
 */
function repayStretch(
  standing: Standing,
  planned: Planned,
  rate: PeriodRate,
  until: number,
  first?: number,
): Fault | undefined {
  const { loan, rows, floor, closing } = standing;
  const { dateOf } = loan.draft.calendar;
  const { kind, each, withInterest } = planned;
  let { number, balance, totalInterest, finalPayment, paid } = standing;
  let fault: Fault | undefined;
  let interest = first ?? periodInterest(balance, rate);
  for (;;) {
    number += 1;
    const due = balance + interest - floor;
    const asked = withInterest ? each + interest : each;
    // The last payment takes what is owed, and no other takes more.
    const takesAll = number === closing || (asked > due && balance >= floor);
    const payment = takesAll ? due : asked;
    if (payment < 0) return { fault: "overpaid", short: -payment };
    const principal = payment - interest;
    balance -= principal;
    totalInterest += interest;
    finalPayment = payment;
    if (payment > 0) paid += 1;
    if (rows) rows.push({ kind, number, date: dateOf(number), payment, interest, principal, balance });
    fault = growing(balance, totalInterest);
    if (fault || number === until || (balance === 0 && floor === 0)) break;
    interest = periodInterest(balance, rate);
  }
  standing.number = number;
  standing.balance = balance;
  standing.totalInterest = totalInterest;
  standing.finalPayment = finalPayment;
  standing.paid = paid;
  return fault;
}

function growing(balance: number, totalInterest: number): Fault | undefined {
  return balance > LARGEST_BALANCE || totalInterest > LARGEST_SUM ? { fault: "grows" } : undefined;
}

/** What a run plans to pay on each date, extra and all, besides its interest where that is paid on top. */
type Planned = { kind: RowKind; each: number; withInterest: boolean };

function plannedPayment(pay: Pay, { solved, rounding, extraEach }: Loan): Planned {
  return byPay<Planned>(pay, {
    level: ({ raises }) => ({
      kind: "payment",
      each: steppedPayment(solved, raises, rounding) + extraEach,
      withInterest: false,
    }),
    principal: () => ({ kind: "payment", each: solved + extraEach, withInterest: true }),
    amount: ({ amount }) => ({ kind: "payment", each: amount + extraEach, withInterest: false }),
    interest: () => ({ kind: "interestOnly", each: extraEach, withInterest: true }),
    none: () => ({ kind: "noPayment", each: 0, withInterest: false }),
  });
}

/** The totals, with the balloon as the last line where one is left to pay. */
function closed({
  loan,
  rows,
  shrinks,
  balance,
  totalInterest,
  number,
  paid,
  finalPayment,
}: Standing): Repayment {
  const { draft, amount } = loan;
  const balloonPaid = balance === 0 ? 0 : shrinks ? withBalloonInterest(loan, balance) : loan.balloon;
  const interest = balloonPaid - balance;
  const finalDate = balloonPaid > 0 ? balloonDate(loan) : draft.calendar.dateOf(number);
  if (balloonPaid > 0) {
    const place = draft.balloonRate ? number + 1 : number;
    rows?.push({
      kind: "balloon",
      number: place,
      date: finalDate,
      payment: balloonPaid,
      interest,
      principal: balance,
      balance: 0,
    });
  }
  const interestInAll = totalInterest + interest;
  return {
    payments: number,
    paid,
    finalPayment,
    balloonPaid,
    totalOfPayments: amount + interestInAll,
    totalInterest: interestInAll,
    finalDate,
  };
}

function withBalloonInterest({ draft: { balloonRate } }: Loan, balance: number): number {
  return balloonRate ? balance + periodInterest(balance, balloonRate) : balance;
}

/** What the payments leave owing: the balloon, or what grows to it over a last period. */
function owedBeforeBalloon({ balloon, draft: { balloonRate } }: Loan): number {
  if (!balloonRate || balloon === 0) return balloon;
  const owed = balloon / (1 + balloonRate.value);
  return roundWhenSure(owed, 1e-6, "nearest", () => over(BigInt(balloon) * ONE, ONE + balloonRate.precise()));
}

function balloonDate({ draft: { calendar, payments, balloonRate } }: Loan): number | null {
  return calendar.dateOf(balloonRate ? payments + 1 : payments);
}

/** A period's interest, day by day, because extras before its payment come off the balance on their days. */
function interestWithExtras(standing: Standing, number: number, rate: PeriodRate): number | Fault {
  const { loan } = standing;
  const daysInPeriod = loan.extras[standing.nextExtra]?.daysInPeriod ?? 1;
  let balanceDays = standing.balance * daysInPeriod;
  for (let event = loan.extras[standing.nextExtra]; event?.before === number && event.daysLeft > 0; ) {
    const amount = takeExtra(standing, event);
    if (typeof amount !== "number") return amount;
    balanceDays -= amount * event.daysLeft;
    event = loan.extras[standing.nextExtra];
  }
  if (balanceDays > Number.MAX_SAFE_INTEGER) return { fault: "grows" };
  return periodInterest(balanceDays, simpleRate(rate, { numerator: 1, denominator: daysInPeriod }));
}

/** Takes the extras on a payment date off the balance after that payment. */
function takeExtras(standing: Standing, number: number): Fault | undefined {
  const { loan } = standing;
  for (let event = loan.extras[standing.nextExtra]; event?.before === number; ) {
    const amount = takeExtra(standing, event);
    if (typeof amount !== "number") return amount;
    event = loan.extras[standing.nextExtra];
  }
  return undefined;
}

function takeExtra(standing: Standing, event: ExtraEvent): number | Fault {
  const { balance: owed, rows } = standing;
  if (event.amount > owed && !event.trimmed) return { fault: "extra", event, owed };
  const amount = Math.min(event.amount, owed);
  const balance = owed - amount;
  standing.balance = balance;
  standing.nextExtra += 1;
  const { before: number, date } = event;
  if (amount > 0) {
    rows?.push({ kind: "extra", number, date, payment: amount, interest: 0, principal: amount, balance });
  }
  return amount;
}
