import { lastWhole } from "../../../solve";
import { NOTHING_PAID, type PlanCosts } from "../../../structure";
import { balloonOf, isFault, type Loan, loanOf, mostRounding, paidAtStart, repay, type Terms } from "../plan";
import type { LoanDeal } from "./deal";

/**
 * What loans by a deal's plan cost. One that cannot be repaid so costs what was agreed, or nothing: it is refused when it
 * is priced. Agreed payments and a balloon cost the same whatever is lent, but for the last of them.
 */
export function planCosts({ structure, plan }: LoanDeal, terms: Terms): PlanCosts {
  const agreed = agreedPayments(plan, structure.price ?? 0);
  const costs =
    <Cost>(of: (loan: Loan) => Cost, nothing: Cost) =>
    (loanAmount: number): Cost => {
      if (loanAmount <= 0) return nothing;
      const loan = loanOf(plan, terms, structure.price ?? 0, loanAmount);
      return loan.ok ? of(loan.value) : nothing;
    };
  return {
    totalOfPayments: costs(loan => {
      const repayment = repay(loan);
      return isFault(repayment) ? agreed : repayment.totalOfPayments;
    }, agreed),
    paidAtSigning: costs(paidAtStart, NOTHING_PAID),
    chargeAtSigning: plan.prepaidCharge ?? 0,
    wobble: mostRounding(terms),
    risesTo: (from, to) => {
      const solved = costs(loan => loan.solved, 0);
      const start = solved(from);
      if (!isLevel(plan, terms) || costs(loan => isFault(repay(loan)), true)(from)) return from;
      return solved(to) === start ? to : lastWhole(amount => solved(amount) - start, from, to, to);
    },
  };
}

/**
 * Whether a payment is solved for and all that is rounded for each loan: as long as it is the same, a loan of more bears
 * as much interest on each date, or more, and its payments come to as much, or more.
 */
function isLevel(plan: LoanDeal["plan"], { draft }: Terms): boolean {
  return plan.payment === null && !draft.flat && draft.runs.every(({ pay }) => pay.kind !== "principal");
}

/** Everything that was agreed to be paid, in minor units; 0 where the payment follows from the loan. */
function agreedPayments(plan: LoanDeal["plan"], fullPrice: number): number {
  const balloon = balloonOf(plan, fullPrice);
  if (plan.payment === null || plan.payments === null || !balloon.ok) return 0;
  return plan.payment * plan.payments + balloon.value;
}
