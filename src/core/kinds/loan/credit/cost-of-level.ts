import { FEWEST_IN_STREAM } from "../../../limits";
import type { Stretch } from "../../../yield";
import type { LoanSummary } from "../quote";
import { type CostOfCredit, costOfStretches } from "./cost-of-stretches";

/**
 * The yearly rates of an answered deal of level payments; undefined where its table has to be looked at.
 *
 * @param quote an answered deal
 * @returns percent a year
 * @example costOfLevel(plainQuote).apr.toFixed(2) // "6.00"
 */
export function costOfLevel(quote: LoanSummary): CostOfCredit | undefined {
  return hasLevelStream(quote) && quote.payments >= FEWEST_IN_STREAM
    ? costOfStretches(quote, levelStretches(quote))
    : undefined;
}

/** Whether the totals say what the table holds, and nothing comes between its payments. */
export function hasLevelStream(quote: LoanSummary): boolean {
  const { yearly, once = [] } = quote.filled.plan.extra ?? {};
  const isByPeriods = !quote.isListed && yearly === undefined && once.length === 0;
  return isByPeriods && quote.charges === undefined && paysLevel(quote) && quote.payment > 0;
}

/** Whether every payment but the last is the level one, so that the totals say what the table holds. */
function paysLevel(quote: LoanSummary): boolean {
  const { isLevel, extraEach, payments, payment, finalPayment, balloon, totalOfPayments } = quote;
  return isLevel && extraEach === 0 && (payments - 1) * payment + finalPayment + balloon === totalOfPayments;
}

/** A balloon falls together with the last payment, or one period after it where payments are in advance. */
export function levelStretches({ payment, payments, finalPayment, balloon, filled }: LoanSummary): Stretch[] {
  const withLast = filled.plan.timing === "advance" ? 0 : balloon;
  const stretches = [
    { amount: payment, count: payments - 1 },
    { amount: finalPayment + withLast, count: 1 },
    { amount: balloon - withLast, count: 1 },
  ];
  // One of nothing takes its time too: in advance the balloon comes a period after a last payment of nothing.
  return stretches.filter(({ count }) => count > 0);
}
