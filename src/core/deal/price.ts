import { isoDate } from "../calendar";
import { type Fault, isFault, type Loan, type PaymentRow, type Repayment, repay } from "../loan";
import { groupedAmount } from "../money";
import { type Failure, type Result, success } from "../result";
import type { Deal } from "./deal";
import { type Lent, lend } from "./lend";
import type { Terms } from "./terms";

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
  const { loan, down, allowance, amountFinanced } = lent.value;
  const repayment = repay(loan, rows);
  if (isFault(repayment)) return { ok: false, failure: explainFault(repayment, loan, terms) };
  const charge = deal.plan.prepaidCharge ?? 0;
  return success({
    price: lent.value.price,
    down,
    allowance,
    amountFinanced,
    loan,
    repayment,
    financeCharge: repayment.totalInterest + charge,
    totalCost: repayment.totalOfPayments + charge + down + allowance - deal.structure.tradeIn.owed,
  });
}

function explainFault(fault: Fault, loan: Loan, { decimals }: Terms): Failure {
  const money = (minor: number) => groupedAmount(minor, decimals);
  switch (fault.fault) {
    case "grows":
      return {
        figure: "payments",
        sentence: `At this rate a payment rounded to ${money(loan.payment)} does not cover the interest of so many payments; plan fewer of them.`,
      };
    case "extra":
      return {
        figure: "extra",
        sentence: `The extra of ${money(fault.event.amount)} on ${isoDate(fault.event.date)} is more than the ${money(fault.owed)} owed then; it can be at most that.`,
      };
    case "overpaid":
      return {
        figure: loan.balloon > 0 ? "balloon" : "steps",
        sentence: `The payments before it repay ${money(fault.short)} too much for the last payment; agree smaller ones, or round them down.`,
      };
  }
}
