import { byPay, type Pay, steppedPayment } from "../../annuity";
import { NO_RATE, type PeriodRate } from "../../interest";
import type { Rounding } from "../../money";
import { type RowRounding, rowInterest, type WayRow } from "../way";
import type { Timeline } from "./timeline";

/** A loan to be repaid by another's conventions; money in minor units. */
export type ToRepay = {
  amount: number;
  /** What was solved for. */
  solved: number;
  rounding: { rule: Rounding; step: number };
  pays: readonly Pay[];
  /** Every payment is the one that is solved for. */
  isAllLevel: boolean;
  timeline: Timeline;
  /** What is left for a last day, and what the payments leave owing for it. */
  balloon: number;
  rows: RowRounding;
  isLastAdjusted: boolean;
  /** The least that can be owed after each payment, where a balloon is left. */
  least: () => readonly number[];
  /** The first payment is as much more or less as its odd days bear. */
  isFirstOwn: boolean;
};

/** What all rows come to, in minor units. */
export type WayRepaid = {
  lastPayment: number;
  totalOfPayments: number;
  /** On how many dates something is paid. */
  paid: number;
};

/**
 * Repays a loan with the interest of each row rounded by a rule: the one row maker that can be told which. Deals are
 * never repaid by it.
 *
 * What is not rounded is carried on with its parts of a cent; what is paid is whole. A last payment that is not adjusted is
 * like the others, and leaves what it leaves.
 *
 * @param loan ready to be repaid
 * @param rows where to put the lines of the table; without it only the totals are made
 */
export function repaidBy(loan: ToRepay, rows?: WayRow[]): WayRepaid {
  const { amount, pays, timeline, rows: rule, isLastAdjusted } = loan;
  const { rates, dateOf } = timeline;
  const floor = owedForBalloon(loan);
  const last = pays.length - 1;
  const isLevelFrom = levelFrom(loan);
  let balance = amount;
  let [total, paid, lastPayment] = [0, 0, 0];
  for (let index = 0; index <= last; index++) {
    const interest = rowInterest(balance, rates[index] ?? NO_RATE, rule);
    const owed = balance + interest;
    const isClosing = index === last && isLastAdjusted;
    const asked = isLevelFrom <= index ? loan.solved : askedOn(loan, index, interest, balance);
    const most = mostOn(loan, index, owed, floor);
    const payment = isClosing ? mostOf(owed - floor, rule) : Math.min(asked, most);
    // Only what is not rounded leaves a part of a cent, which goes with the last one.
    const isCleared = floor === 0 && payment === most && most === mostOf(owed, rule);
    balance = isClosing || isCleared ? floor : owed - payment;
    rows?.push({
      kind: "payment",
      number: index + 1,
      date: dateOf(index + 1),
      payment,
      interest,
      principal: payment - interest,
      balance,
    });
    total += payment;
    lastPayment = payment;
    if (payment > 0) paid += 1;
    if (balance === 0 && floor === 0) break;
  }
  if (floor > 0) {
    rows?.push(balloonRow(loan, balance));
    total += loan.balloon;
  }
  return { lastPayment, totalOfPayments: total, paid };
}

/** What is paid has no parts of a cent. */
const mostOf = (owed: number, rule: RowRounding): number => (rule === "none" ? Math.round(owed) : owed);

/** The most that a payment takes: what is owed, or where it is not agreed so much that a balloon is still reached. */
function mostOn(loan: ToRepay, index: number, owed: number, floor: number): number {
  const { pays, rows, least } = loan;
  const kind = pays[index]?.kind;
  const isAgreed = kind === "amount" || kind === "none";
  if (floor === 0 || isAgreed) return mostOf(owed, rows);
  return mostOf(owed - (least()[index + 1] ?? floor), rows);
}

/** From which place on every payment is the one that was solved for: beyond the last where some are not. */
function levelFrom({ isAllLevel, isFirstOwn, pays }: ToRepay): number {
  return isAllLevel ? (isFirstOwn ? 1 : 0) : pays.length;
}

/** What is to be paid on a date, in minor units. */
function askedOn(loan: ToRepay, index: number, interest: number, balance: number): number {
  const { pays, solved, rounding, timeline, rows, isFirstOwn } = loan;
  const pay = pays[index] as Pay;
  const oddDays = (): number => {
    if (!isFirstOwn || index > 0) return 0;
    return Math.round(interest - rowInterest(balance, timeline.solvedRates[0] ?? NO_RATE, rows));
  };
  return byPay(pay, {
    level: ({ raises }) =>
      (raises.length > 0 ? steppedPayment(solved, raises, rounding) : solved) + oddDays(),
    principal: () => Math.round(solved + interest),
    amount: ({ amount }) => amount,
    interest: () => Math.round(interest),
    none: () => 0,
  });
}

/** What the payments leave owing: the balloon, or what grows to it over a last period. */
export function owedForBalloon({
  balloon,
  timeline: { balloonRate },
}: Pick<ToRepay, "balloon" | "timeline">): number {
  return balloonRate && balloon > 0 ? Math.round(balloon / (1 + balloonRate.value)) : balloon;
}

function balloonRow({ balloon, pays, timeline }: ToRepay, owed: number): WayRow {
  const number = timeline.balloonRate ? pays.length + 1 : pays.length;
  return {
    kind: "balloon",
    number,
    date: timeline.dateOf(number),
    payment: balloon,
    interest: balloon - owed,
    principal: owed,
    balance: 0,
  };
}

/** A loan whose finance charge is on the original amount for the whole term. */
type FlatToRepay = {
  amount: number;
  charge: number;
  payment: number;
  count: number;
  trueRate: PeriodRate | null;
  /** What of the charge is earned after some payments, where it is by the sum of the digits. */
  earnedByDigits: (after: number) => number;
  dateOf: Timeline["dateOf"];
  rows: RowRounding;
  isLastAdjusted: boolean;
};

/** Repays a flat-rate loan: its payments come to the amount and its charge, the last one takes up the cents. */
export function flatRepaidBy(loan: FlatToRepay, rows?: WayRow[]): WayRepaid {
  const { amount, charge, payment: level, count, trueRate, rows: rule, isLastAdjusted, dateOf } = loan;
  let left = amount + charge;
  let [balance, earned, total, lastPayment, paid] = [amount, 0, 0, 0, 0];
  for (let number = 1; number <= count && left > 0; number++) {
    const isLast = number === count || left <= level;
    const payment = isLast && isLastAdjusted ? left : level;
    const byRule = trueRate ? rowInterest(balance, trueRate, rule) : loan.earnedByDigits(number) - earned;
    const interest = isLast
      ? charge - earned
      : Math.min(Math.max(byRule, payment - balance), charge - earned);
    earned += interest;
    left -= payment;
    balance += interest - payment;
    total += payment;
    lastPayment = payment;
    paid = number;
    rows?.push({
      kind: "payment",
      number,
      date: dateOf(number),
      payment,
      interest,
      principal: payment - interest,
      balance: isLast && isLastAdjusted ? 0 : balance,
    });
  }
  return { lastPayment, totalOfPayments: total, paid };
}
