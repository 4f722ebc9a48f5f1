import type { DatedExtra } from "../../kinds/loan/plan";
import { BY_EXTRAS, type Extra, extraEvents, type Loan } from "../../kinds/loan/plan";
import { type LoanQuote, machineOf } from "../../kinds/loan/quote";
import { failure, type Result, success } from "../../result";

/** A loan with extra payments that are tried beside its plan. */
type EarlyLoan = {
  loan: Loan;
  /** Extra payments after the term, which are not used. */
  late: readonly DatedExtra[];
};

/**
 * The loan of an answered deal with more extra payments than its plan has. What is above what is owed is trimmed to it.
 *
 * @param quote an answered deal
 * @param early minor units, day numbers and numbers of payments
 * @returns the loan, or a failure where the plan can take none
 */
export function earlyLoan(quote: LoanQuote, early: Extra): Result<EarlyLoan> {
  const { loan } = machineOf(quote);
  const refused = whyNoExtras(quote);
  if (refused) return failure("early", refused);
  const placed = extraEvents(early, loan.draft);
  if (!placed.ok) return { ok: false, failure: { ...placed.failure, figure: "early" } };
  const tried = placed.value.events.map(event => ({ ...event, trimmed: true }));
  // Sorting keeps what the plan has before what is tried on the same day.
  const extras = [...loan.extras, ...tried].sort((a, b) => a.before - b.before || b.daysLeft - a.daysLeft);
  const each = early.each?.amount ? [...loan.each, early.each] : loan.each;
  const byExtras = each.length > 0 || extras.length > 0 ? BY_EXTRAS : null;
  return success({ loan: { ...loan, each, extras, byExtras }, late: placed.value.late });
}

const INSTEAD = "Its payoff on any day can be asked for instead.";

/**
 * Why a plan takes no extra payments, in a sentence; undefined where it does.
 *
 * @example whyNoExtras(campervan) // undefined
 */
export function whyNoExtras({ filled, isListed }: LoanQuote): string | undefined {
  if (filled.plan.kind === "flatRate")
    return `A flat-rate loan takes no extra payments: its interest is on the original amount for the whole term. ${INSTEAD}`;
  return isListed
    ? `A loan of listed payments takes no extra payments: each of them is agreed. ${INSTEAD}`
    : undefined;
}
