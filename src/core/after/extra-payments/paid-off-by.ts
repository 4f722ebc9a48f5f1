import { type DayNumber, isoDate } from "../../calendar";
import { type Extra, isFault, type Loan, repay } from "../../kinds/loan/plan";
import { type LoanQuote, machineOf } from "../../kinds/loan/quote";
import { groupedAmount } from "../../money";
import { failure, type Result, success } from "../../result";
import { lastWhole } from "../../solve";
import { earlyLoan } from "./early-loan";
import { type ExtraMoney, inPlaceOf } from "./in-place-of";
import { type RepaidEarly, repaidEarly } from "./repaid-early";

/** By when a loan is to be paid off: its last money comes no later than the payment of a number, or a day. */
export type PaidOffTarget = { payments: number } | { date: DayNumber };

/** The least extra money that pays a loan off in time, in minor units; with all else that is tried, and what it comes to. */
export type PaidOffBy = { amount: number; early: Extra; repaid: RepaidEarly };

/**
 * The least extra money that pays a loan off by a payment or a day, balloon and all: with each payment, or once. It comes
 * on top of the plan's own extra payments and of all else that is tried, in place of what is tried of its own kind: the
 * extra with each payment, or the money of that day.
 *
 * @param quote an answered deal
 * @param early what else is tried
 * @param target by when
 * @param using what is to do it
 * @returns the amount, a multiple of what payments are rounded to; a failure where nothing does it, or nothing is needed
 * @example paidOffBy(campervan, {}, { payments: 60 }, { each: {} }).value.amount // 10591
 */
export function paidOffBy(
  quote: LoanQuote,
  early: Extra,
  target: PaidOffTarget,
  using: ExtraMoney,
): Result<PaidOffBy> {
  const { step } = machineOf(quote).loan.rounding;
  const trial = (steps: number) => inPlaceOf(quote, early, using, steps * step);
  const first = earlyLoan(quote, trial(1));
  if (!first.ok) return first;
  const isInTime = (steps: number) => {
    const tried = earlyLoan(quote, trial(steps));
    return tried.ok && endsBy(tried.value.loan, target);
  };
  const by = "date" in target ? isoDate(target.date) : `payment ${target.payments}`;
  if (isInTime(0)) return failure("early", `No extra money is needed: it is paid off by ${by} without any.`);
  const most = Math.ceil((quote.loanAmount + quote.totalInterest) / step);
  if (!isInTime(most))
    return failure(
      "early",
      `No extra money of that kind pays the loan off by ${by}, for it comes too late; of the ${groupedAmount(quote.loanAmount, quote.decimals)} lent something is still owed then.`,
    );
  const amount = leastThatDoes(isInTime, most, reachOf(quote, trial(0), using));
  const found = trial(amount);
  const repaid = repaidEarly(quote, found);
  return repaid.ok ? success({ amount: amount * step, early: found, repaid: repaid.value }) : repaid;
}

/**
 * The least number of steps that is in time: more money leaves less owing after every payment, so that they are in order.
 *
 * @param reach how far below the first one that rounding can put others
 */
function leastThatDoes(isInTime: (steps: number) => boolean, most: number, reach: number): number {
  let least = 1 + lastWhole(steps => (isInTime(steps) ? 1 : -1), 1, most, most / 2);
  for (let steps = least - 1; steps >= Math.max(least - reach, 1); steps--)
    if (isInTime(steps)) least = steps;
  return least;
}

/** Money that lowers payments has them rounded once more, which can put some steps out of order: as many as payments are left. */
function reachOf(quote: LoanQuote, { once = [] }: Extra, using: ExtraMoney): number {
  if (!once.some(({ effect }) => effect === "lowerPayments")) return 0;
  return "each" in using ? REACH_OF_EACH : quote.plannedPayments;
}

const REACH_OF_EACH = 8;

/** Whether a loan's last money comes by then. */
function endsBy(loan: Loan, target: PaidOffTarget): boolean {
  const repaid = repay(loan);
  if (isFault(repaid)) return false;
  const { payments, finalDate, balloonPaid } = repaid;
  if ("date" in target) return finalDate !== null && finalDate <= target.date;
  const { balloonRate, calendar } = loan.draft;
  // Money after the last payment: a balloon that comes a period later, or an extra between two payments.
  const isLater = balloonPaid > 0 ? balloonRate !== null : finalDate !== calendar.dateOf(payments);
  return payments + (isLater ? 1 : 0) <= target.payments;
}
