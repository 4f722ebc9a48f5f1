import { isFault, type Loan, loanOf, mostRounding, paidAtStart, repay, type Terms } from "../plans/loan";
import type { PlanCosts } from "../structure";
import type { Deal } from "./deal";

/** What loans by a deal's plan cost. A loan that cannot be repaid so costs nothing here: it is refused when it is priced. */
export function planCosts({ structure, plan }: Deal, terms: Terms): PlanCosts {
  const costs = (of: (loan: Loan) => number) => (loanAmount: number) => {
    if (loanAmount <= 0) return 0;
    const loan = loanOf(plan, terms, structure.price ?? 0, loanAmount);
    return loan.ok ? of(loan.value) : 0;
  };
  return {
    totalOfPayments: costs(loan => {
      const repayment = repay(loan);
      return isFault(repayment) ? 0 : repayment.totalOfPayments;
    }),
    paidAtSigning: costs(paidAtStart),
    chargeAtSigning: plan.prepaidCharge ?? 0,
    wobble: mostRounding(terms),
  };
}
