import type { Run } from "../../../../annuity";
import { type PeriodRate, periodInterest } from "../../../../interest";
import { sameExtraUntil } from "../extras";
import { closed, owedBeforeBalloon } from "./closing";
import { repayFlatRate } from "./flat-rate-table";
import { leastOwed } from "./least-owed";
import type { Loan } from "./loan";
import { type Planned, plannedPayment } from "./planned-payment";
import type { PaymentRow, Repayment } from "./row";
import { type Course, type Fault, hasEnded, type Standing } from "./standing";

/** A loan that grows so far is not being repaid. */
const LARGEST_BALANCE = 2 ** 50;
/** Sums past this are no longer exact integers. */
const LARGEST_SUM = Number.MAX_SAFE_INTEGER;

/**
 * Repays a loan, splitting each payment into interest and principal.
 *
 * Interest is rounded half up to the minor unit. The last payment is the balance with its interest, so that
 * the balance ends at exactly zero, or exactly at the balloon; where a payment rounded up clears the loan
 * sooner, the table ends there. An extra between two payments lowers the balance from its day on; one that pays all
 * that is owed, with the interest to its day, ends the loan there. With extras the payments are those of the loan
 * without them, and the balloon is what is then left of it.
 *
 * @param loan ready to be repaid
 * @param rows where to put the lines of the table; without it only the totals are made
 * @returns the totals, or why the loan cannot be repaid so
 * @example repay(loan) // { payments: 12, finalPayment: 86070, … }
 */
export function repay(loan: Loan, rows?: PaymentRow[]): Repayment | Fault {
  if (loan.draft.flat) return repayFlatRate(loan, loan.draft.flat, rows);
  const standing = unpaid(loan, rows);
  return repayRest(standing) ?? closed(standing);
}

/** Repays what is left of a loan; with the interest of the next date, where money before it has made it another. */
export function repayRest(standing: Standing, first?: number): Fault | undefined {
  let interest = first;
  let last = 0;
  for (const run of standing.loan.draft.runs) {
    last += run.count;
    if (last <= standing.number) continue;
    const fault = repayRun(standing, run, last, interest);
    if (fault) return fault;
    if (hasEnded(standing)) break;
    interest = undefined;
  }
  return undefined;
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
      const interest =
        meetsExtra && loan.byExtras
          ? loan.byExtras.interest(standing, number, run.rate)
          : periodInterest(standing.balance, run.rate);
      return typeof interest === "number" ? solved + interest : solved;
    }
    if (repayRun(standing, run, standing.number + run.count)) break;
  }
  return solved;
}

function unpaid(loan: Loan, rows: PaymentRow[] | undefined): Standing {
  const standing: Standing = {
    ...asPlanned(loan),
    rows,
    number: 0,
    balance: loan.amount,
    totalInterest: 0,
    finalPayment: 0,
    paid: 0,
    nextExtra: 0,
    endedOn: null,
  };
  if (loan.byExtras) Object.assign(standing, loan.byExtras.shrunk(standing, loan));
  return standing;
}

/** How a loan goes on as planned. */
export function asPlanned(loan: Loan): Course {
  const floor = owedBeforeBalloon(loan);
  // Without agreed amounts to come, no more than the floor has to be owed before it.
  const hasAgreed = floor > 0 && loan.draft.runs.some(({ pay }) => pay.kind === "amount");
  const least = hasAgreed ? leastOwed(loan, floor) : undefined;
  return {
    loan,
    shrinks: false,
    floor,
    least,
    watched: least ? Math.max(...least) : floor,
    closing: loan.draft.payments,
    lastPayment: undefined,
  };
}

/** Repays the payments of one run: stretches without extras, and between them the dates that extras come before. */
function repayRun(standing: Standing, run: Run, end: number, interest?: number): Fault | undefined {
  let first = interest;
  while (standing.number < end) {
    const { loan, nextExtra, number } = standing;
    const nextWithExtra = loan.extras[nextExtra]?.before ?? end + 1;
    const fault =
      loan.byExtras && nextWithExtra === number + 1
        ? loan.byExtras.repayOn(standing, run)
        : repayStretch(
            standing,
            ownPayment(standing, run),
            run.rate,
            Math.min(sameUntil(standing, end), nextWithExtra - 1),
            first,
          );
    if (fault) return fault;
    if (hasEnded(standing)) return undefined;
    first = undefined;
  }
  return undefined;
}

/** What is planned for the next date; the last one stands alone where it takes something else. */
export function ownPayment({ loan, number, lastPayment }: Standing, { pay }: Run): Planned {
  const isLast = number + 1 === loan.draft.payments;
  return (isLast && lastPayment) || plannedPayment(pay, loan, number + 1);
}

/** The last date of a run up to which the same is planned as on the next one. */
function sameUntil({ loan, number, lastPayment }: Standing, end: number): number {
  const { each, draft } = loan;
  const until = each.length > 0 ? sameExtraUntil(each, number + 1, end) : end;
  const isBeforeLast = lastPayment && until === draft.payments && number + 1 < until;
  return isBeforeLast ? until - 1 : until;
}

/**
 * Repays on dates up to a last one, without extras on the way.
 *
 * @param first the interest of the first date, where extras before it have made it another
 */
export function repayStretch(
  standing: Standing,
  planned: Planned,
  rate: PeriodRate,
  until: number,
  first?: number,
): Fault | undefined {
  const { loan, rows, floor, watched, closing } = standing;
  const { dateOf } = loan.draft.calendar;
  const { kind, each, withInterest } = planned;
  let { number, balance, totalInterest, finalPayment, paid } = standing;
  let fault: Fault | undefined;
  let interest = first ?? periodInterest(balance, rate);
  for (;;) {
    number += 1;
    const owed = balance + interest;
    const asked = withInterest ? each + interest : each;
    const isNear = number === closing || asked > owed - watched;
    const payment = isNear ? limited(standing, number, asked, owed, planned) : asked;
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

/**
 * The last payment takes what is owed, and no other takes more, nor one that is not agreed so much that the balloon is
 * not reached.
 */
function limited(
  standing: Standing,
  number: number,
  asked: number,
  owed: number,
  { isAgreed }: Planned,
): number {
  const { floor, closing, loan } = standing;
  if (number === closing) return owed - floor;
  if (floor === 0 || isAgreed) return Math.min(asked, owed);
  standing.least ??= leastOwed(loan, floor);
  return Math.min(asked, owed - (standing.least[number] ?? floor));
}

function growing(balance: number, totalInterest: number): Fault | undefined {
  return balance > LARGEST_BALANCE || totalInterest > LARGEST_SUM ? { fault: "grows" } : undefined;
}
