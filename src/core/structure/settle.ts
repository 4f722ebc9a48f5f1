import { readPercent } from "../interest";
import { lastNearby, lastWhole, leastFixedPoint } from "../solve";
import { isDownFromDue } from "./cash-down";
import { type Assumed, chargesOf, isReckonedFromLoan } from "./charges";
import { dueBesidesDown, NOTHING_PAID, type PaidThatDay } from "./due-at-signing";
import { NO_LOAN, type Reckoned, reckon } from "./reckon";
import type { Structure } from "./structure";

/** What loans of an amount cost by a plan, for lines that are reckoned from it; all in minor units. */
export type PlanCosts = {
  totalOfPayments: (loanAmount: number) => number;
  /** What of the payments falls due at signing. */
  paidAtSigning: (loanAmount: number) => PaidThatDay;
  /** What the plan asks for at signing besides payments, in minor units. */
  chargeAtSigning: number;
  /** How far rounding can move a total of payments, in minor units. */
  wobble: number;
  /** The last loan amount up to another one to which a total of payments never falls, from an amount on. */
  risesTo: (from: number, to: number) => number;
};

/** The plan of a structure that nothing is reckoned from, or that is not known yet. */
export const NO_PLAN: PlanCosts = {
  totalOfPayments: () => 0,
  paidAtSigning: () => NOTHING_PAID,
  chargeAtSigning: 0,
  wobble: 0,
  risesTo: (_, to) => to,
};

/** Whether a structure has lines that only the plan tells. */
export function needsPlan(structure: Structure): boolean {
  return isDownFromDue(structure.down) || chargesOf(structure).some(isFromTotalOfPayments);
}

const isFromTotalOfPayments = ({ amount }: { amount: object }) =>
  "of" in amount && amount.of === "totalOfPayments";

/**
 * What the lines of a structure come to, those that are reckoned from the loan solved together with it: the least loan
 * amount at which each is its percent, rounded, of the loan that contains it. Where none is, because a total of
 * payments falls a little as the loan rises, they are reckoned from the next loan above.
 *
 * @param structure minor units; a missing price counts as 0
 * @param plan what a loan costs; lines that the plan tells are 0 where it is left out
 * @returns the amounts; an infinite loan amount where what is reckoned from it comes to almost all of it, or more
 * @example settle({ price: 100000, fees: [origination], tradeIns: [], down: null }).loanAmount // 101523
 */
export function settle(structure: Structure, plan: PlanCosts = NO_PLAN): Reckoned {
  const { down } = structure;
  if (isDownFromDue(down)) return settleFromDue(structure, down.dueAtSigning, plan);
  if (!chargesOf(structure).some(isReckonedFromLoan)) return reckon(structure, NO_LOAN);
  return settleFromLoan(structure, plan);
}

function settleFromLoan(structure: Structure, plan: PlanCosts): Reckoned {
  const usesPlan = needsPlan(structure);
  const assumedAt = (loanAmount: number): Assumed => ({
    loanAmount,
    totalOfPayments: usesPlan ? plan.totalOfPayments(loanAmount) : 0,
  });
  const reckoned = new Map<number, Reckoned>();
  const at = (loanAmount: number) => {
    const known = reckoned.get(loanAmount) ?? reckon(structure, assumedAt(loanAmount));
    reckoned.set(loanAmount, known);
    return known;
  };
  const least = reckon(structure, NO_LOAN);
  if (least.loanAmount <= 0) return least;
  const low = least.loanAmount;
  const next = at(low).loanAmount;
  const slope = Math.min((next - low) / low, STEEPEST);
  const found = leastFixedPoint(loanAmount => at(loanAmount).loanAmount, {
    low: Math.min(low, next),
    high: MOST_TIMES * (low + 100),
    guess: low + (next - low) / (1 - slope),
    window: () => windowOf(structure, usesPlan ? plan.wobble : 0, slope),
    risesTo: usesPlan ? plan.risesTo : NO_PLAN.risesTo,
  });
  return found === null ? { ...least, loanAmount: Number.POSITIVE_INFINITY } : at(found.at);
}

const STEEPEST = 0.99;
/** How many times what is financed else a loan can be. */
const MOST_TIMES = 20;
const WIDEST = 200;

/** How far from the exact crossing the roundings of the lines, and of the plan, can put a loan amount that fits. */
function windowOf(structure: Structure, wobble: number, slope: number): number {
  const charges = chargesOf(structure).filter(isReckonedFromLoan);
  let fromPlan = 0;
  for (const { amount } of charges.filter(isFromTotalOfPayments)) {
    if (!("percent" in amount)) continue;
    const { digits, scale } = readPercent(amount.percent);
    fromPlan += (digits / scale / 100) * wobble;
  }
  const roundings = charges.length + (structure.taxes?.length ?? 0) + 1;
  return Math.min(Math.ceil((roundings + fromPlan) / (1 - slope)) + 1, WIDEST);
}

const MOST_JUMPS = 16;
/** How far roundings of a percent of all payments can put cash out of order. */
const CENTS_OUT_OF_ORDER = 8;

/**
 * The structure with the largest cash down with which no more is due at signing than is given; with none, and more due,
 * where everything else comes to more.
 */
function settleFromDue(structure: Structure, due: number, plan: PlanCosts): Reckoned {
  const withCash = (amount: number) => settle({ ...structure, down: { amount } }, plan);
  const besides = (amount: number) => {
    const reckoned = withCash(amount);
    return (
      plan.chargeAtSigning + dueBesidesDown(structure, reckoned, plan.paidAtSigning(reckoned.loanAmount))
    );
  };
  const over = (amount: number) => amount + besides(amount) - due;
  let held = lastWhole(over, 0, due, due - besides(0));
  if (held < 0) return withCash(0);
  // What follows from a payment that is rounded to a step falls by it as the cash rises, and more cash fits again.
  const paid = plan.paidAtSigning(withCash(held).loanAmount);
  const isFromTotal = chargesOf(structure).some(isFromTotalOfPayments);
  const hasSteps = isFromTotal || (paid.first ?? 0) + paid.extra > 0;
  for (let jump = 0; jump < MOST_JUMPS && hasSteps; jump++) {
    const same = besides(held + 1);
    const next = 1 + lastWhole(amount => same - besides(amount), held + 1, due, held + 2);
    if (next > due || over(next) > 0) break;
    held = lastWhole(over, next, due, next);
  }
  const last = isFromTotal ? lastNearby(amount => over(amount) <= 0, held, due, CENTS_OUT_OF_ORDER) : held;
  return withCash(last);
}
