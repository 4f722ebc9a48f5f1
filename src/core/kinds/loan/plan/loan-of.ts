import { parseDecimal, percentOf } from "../../../interest";
import { HIGHEST_BALLOON_PERCENT, wholeText } from "../../../limits";
import { groupedAmount } from "../../../money";
import { failure, type Result, success } from "../../../result";
import type { LoanPlan } from "./plan";
import { type Loan, regularPayment } from "./repay";
import type { Terms } from "./terms";

/**
 * The loan of an amount by a plan: solved for its payment, or repaid by the one that the plan gives.
 *
 * @param plan everything but the payment given, or that too
 * @param terms the same plan, read
 * @param fullPrice what a balloon in percent is of, in minor units
 * @param amount minor units, above zero
 * @returns a loan ready to be repaid, or a failure with the figure to blame
 */
export function loanOf(plan: LoanPlan, terms: Terms, fullPrice: number, amount: number): Result<Loan> {
  const { draft, rounding, solver, each, extras, byExtras } = terms;
  const money = (minor: number) => groupedAmount(minor, terms.decimals);
  const extraEach = plan.extra?.each?.amount ?? 0;
  if (extraEach > amount) {
    return failure(
      "extra",
      `An extra of ${money(extraEach)} with every payment is more than the ${money(amount)} owed; it can be at most that.`,
    );
  }
  const balloon = balloonOf(plan, fullPrice);
  if (!balloon.ok) return balloon;
  const isSolved = solver.worth.solved > 0;
  if (isSolved && solver.unrounded(amount, balloon.value) <= 0 && solver.rounded(amount, balloon.value) < 0) {
    return tooMuchAgreed(amount, balloon.value, terms);
  }
  const solved = isSolved && plan.payment === null ? solver.rounded(amount, balloon.value) : 0;
  const loan = { amount, draft, solved, rounding, balloon: balloon.value, each, extras, byExtras };
  if (isSolved && plan.payment !== null) {
    // Where payments fall, the one given is the first: a part of the principal and its interest.
    const interest = regularPayment(loan);
    loan.solved = Math.max(plan.payment - interest, 0);
  }
  return success(loan);
}

/** The balloon in minor units, 0 where there is none; a percent of the price is rounded half up. */
export function balloonOf({ balloon }: LoanPlan, fullPrice: number): Result<number> {
  if (!balloon) return success(0);
  if ("amount" in balloon) return success(balloon.amount);
  const percent = parseDecimal(balloon.percent);
  if (percent && percent.digits <= HIGHEST_BALLOON_PERCENT * percent.scale)
    return success(percentOf(fullPrice, percent));
  return failure(
    "balloon",
    `A balloon of ${balloon.percent} % is not possible; it can be 0 to ${wholeText(HIGHEST_BALLOON_PERCENT)} % of the price.`,
  );
}

/** Agreed amounts that repay more than the loan. */
function tooMuchAgreed(amount: number, balloon: number, { solver, decimals }: Terms): Result<Loan> {
  const { amounts, atEnd } = solver.worth;
  const money = (minor: number) => groupedAmount(minor, decimals);
  if (amounts < amount && balloon > 0) {
    const most = Math.floor((amount - amounts) / atEnd);
    return failure(
      "balloon",
      `A balloon of ${money(balloon)} is more than ${money(amount)} grows to without any payment; it can be at most ${money(most)}.`,
      { figure: "balloon", minor: most },
    );
  }
  return failure(
    "steps",
    `The agreed payments are worth ${money(Math.round(amounts))} when the money is lent, more than the ${money(amount)} financed; agree smaller ones.`,
  );
}
