import { groupedAmount } from "../../../money";
import { type Failure, failure, type Result, success } from "../../../result";
import {
  cashFor,
  coveredText,
  isDownFromDue,
  NO_PLAN,
  NOTHING_PAID,
  needsPlan,
  percentProblem,
  prepaidCharges,
  type Reckoned,
  type Structure,
  settle,
  settledProblem,
  tally,
} from "../../../structure";
import { type Loan, loanOf, type Terms } from "../plan";
import type { LoanDeal } from "./deal";
import { planCosts } from "./plan-costs";

/** A deal's structure with the loan that it comes to: money in minor units. */
export type Lent = {
  structure: Structure;
  /** What the lines of the structure come to. */
  reckoned: Reckoned;
  /** What the note says, and interest is reckoned on. */
  loanAmount: number;
  /** The plan's finance charge paid at signing, and all finance charges that are paid at the start. */
  chargeAtSigning: number;
  prepaid: number;
  /** The loan amount less what of the finance charge is paid at the start: 12 CFR 1026.18(b). */
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
export function lend(deal: LoanDeal, terms: Terms): Result<Lent> {
  const { structure, plan } = deal;
  const problem = percentProblem(structure);
  if (problem) return { ok: false, failure: problem };
  const costs = needsPlan(structure) ? planCosts(deal, terms) : NO_PLAN;
  const reckoned = settle(structure, costs);
  const { loanAmount } = reckoned;
  if (loanAmount <= 0) return nothingToFinance(structure, reckoned, terms.decimals);
  const atSigning = isDownFromDue(structure.down) ? costs.paidAtSigning(loanAmount) : NOTHING_PAID;
  const chargeAtSigning = plan.prepaidCharge ?? 0;
  const prepaid = chargeAtSigning + prepaidCharges(structure, reckoned);
  const money = (minor: number) => groupedAmount(minor, terms.decimals);
  const wrong =
    settledProblem(structure, reckoned, atSigning, chargeAtSigning, money) ??
    nothingPaidOut(loanAmount, chargeAtSigning, prepaid, money);
  if (wrong) return { ok: false, failure: wrong };
  const loan = loanOf(plan, terms, reckoned.price, loanAmount);
  if (!loan.ok) return loan;
  const amountFinanced = loanAmount - prepaid;
  return success({
    structure,
    reckoned,
    loanAmount,
    chargeAtSigning,
    prepaid,
    amountFinanced,
    loan: loan.value,
  });
}

function nothingToFinance(structure: Structure, reckoned: Reckoned, decimals: number): Result<never> {
  const covered = coveredText(tally(structure, reckoned), minor => groupedAmount(minor, decimals));
  const sentence = `Nothing is left to finance. ${covered}`;
  const downThatWorks = cashFor(structure, 1);
  return downThatWorks >= 0
    ? failure("amountFinanced", sentence, { figure: "down", minor: downThatWorks })
    : failure("amountFinanced", sentence);
}

/** Finance charges that are paid at the start, and leave nothing of the loan. */
function nothingPaidOut(
  loanAmount: number,
  charge: number,
  prepaid: number,
  money: (minor: number) => string,
): Failure | undefined {
  if (charge >= loanAmount) {
    return {
      figure: "prepaidCharge",
      sentence: `A charge at signing of ${money(charge)} leaves nothing of the ${money(loanAmount)} financed; it must be less.`,
    };
  }
  if (prepaid < loanAmount) return undefined;
  return {
    figure: "prepaidCharge",
    sentence: `Fees counted in the finance charge come to ${money(prepaid)} and leave nothing of the ${money(loanAmount)} financed; they must be less.`,
  };
}
