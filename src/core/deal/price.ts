import { explainFault, isFault, type PaymentRow, type Repayment, repay, type Terms } from "../plans/loan";
import { type Result, success } from "../result";
import { ownCost } from "../structure";
import type { Deal } from "./deal";
import { type Lent, lend } from "./lend";

/** A deal with every figure known: money in minor units. */
export type Priced = Lent & {
  repayment: Repayment;
  /** What the credit costs: all interest and a charge paid at signing. */
  financeCharge: number;
  /** The payments, the cash down, a charge at signing, and what the trade-in was worth beyond what was owed on it. */
  totalCost: number;
};

/**
 * Prices a deal of which everything but the payment is given.
 *
 * @param deal its price, cash down and plan are all there
 * @param terms its plan, read
 * @param rows where to put the lines of the repayment table; without it only the totals are made
 * @returns every figure, or a failure with the figure to blame
 */
export function price(deal: Deal, terms: Terms, rows?: PaymentRow[]): Result<Priced> {
  const lent = lend(deal, terms);
  if (!lent.ok) return lent;
  const { structure, loanAmount, amountFinanced, loan } = lent.value;
  const repayment = repay(loan, rows);
  if (isFault(repayment)) return { ok: false, failure: explainFault(repayment, loan, terms) };
  const charge = deal.plan.prepaidCharge ?? 0;
  return success({
    structure,
    loanAmount,
    amountFinanced,
    loan,
    repayment,
    financeCharge: repayment.totalInterest + charge,
    totalCost: repayment.totalOfPayments + charge + ownCost(structure),
  });
}
