import { groupedAmount } from "../money";
import { type Loan, loanOf, type Terms } from "../plans/loan";
import { failure, type Result, success } from "../result";
import { cashDownProblem, cashFor, coveredText, loanAmountOf, type Structure } from "../structure";
import type { Deal } from "./deal";

/** A deal's structure with the loan that it comes to: money in minor units. */
export type Lent = {
  structure: Structure;
  /** What the note says, and interest is reckoned on. */
  loanAmount: number;
  /** The loan amount less a finance charge paid at signing: 12 CFR 1026.18(b). */
  amountFinanced: number;
  loan: Loan;
};

/**
 * The loan of a deal of which everything but the payment is given, solved for its payment.
 *
 * @param deal its price, cash down and plan are all there
 * @param terms its plan, read
 * @returns what is lent, or a failure with the figure to blame
 */
export function lend({ structure, plan }: Deal, terms: Terms): Result<Lent> {
  const problem = cashDownProblem(structure.down);
  if (problem) return { ok: false, failure: problem };
  const loanAmount = loanAmountOf(structure);
  if (loanAmount <= 0) return nothingToFinance(structure, terms.decimals);
  const loan = loanOf(plan, terms, structure.price ?? 0, loanAmount);
  if (!loan.ok) return loan;
  const amountFinanced = loanAmount - (plan.prepaidCharge ?? 0);
  return success({ structure, loanAmount, amountFinanced, loan: loan.value });
}

function nothingToFinance(structure: Structure, decimals: number): Result<never> {
  const covered = coveredText(structure, minor => groupedAmount(minor, decimals));
  const sentence = `Nothing is left to finance. ${covered}`;
  const downThatWorks = cashFor(structure, 1);
  return downThatWorks >= 0
    ? failure("amountFinanced", sentence, { figure: "down", minor: downThatWorks })
    : failure("amountFinanced", sentence);
}
