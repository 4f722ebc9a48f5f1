import { type Result, success } from "../../../result";
import {
  chargesWithPayments,
  dueBesidesDown,
  NOTHING_PAID,
  ownCostOf,
  totalWithPayments,
} from "../../../structure";
import { explainFault, isFault, type PaymentRow, type Repayment, repay, type Terms } from "../plan";
import type { LoanDeal } from "./deal";
import { type Lent, lend } from "./lend";

/** A deal with every figure known: money in minor units. */
export type Priced = Lent & {
  repayment: Repayment;
  /** The payments, with what falls with them and counts in the finance charge. */
  totalOfPayments: number;
  /** What the credit costs: all interest, and every fee that counts in the finance charge. */
  financeCharge: number;
  /**
   * Everything that leaves the customer's pocket: the payments and what falls with them, what is due at signing, a
   * deposit, and what the trade-in was worth beyond what was owed on it.
   */
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
export function price(deal: LoanDeal, terms: Terms, rows?: PaymentRow[]): Result<Priced> {
  const lent = lend(deal, terms);
  if (!lent.ok) return lent;
  const { structure, reckoned, loanAmount, amountFinanced, loan, prepaid, chargeAtSigning } = lent.value;
  const repayment = repay(loan, rows);
  if (isFault(repayment)) return { ok: false, failure: explainFault(repayment, loan, terms) };
  const { paid, totalInterest, totalOfPayments } = repayment;
  const charges = totalWithPayments(chargesWithPayments(structure, reckoned), paid);
  const financeCharges = totalWithPayments(
    chargesWithPayments(structure, reckoned, ({ isFinanceCharge }) => isFinanceCharge),
    paid,
  );
  const atSigning = chargeAtSigning + dueBesidesDown(structure, reckoned, NOTHING_PAID);
  return success({
    structure,
    reckoned,
    loanAmount,
    chargeAtSigning,
    prepaid,
    amountFinanced,
    loan,
    repayment,
    totalOfPayments: totalOfPayments + financeCharges,
    financeCharge: totalInterest + prepaid + financeCharges,
    totalCost: totalOfPayments + charges + ownCostOf(structure, reckoned) + atSigning,
  });
}
