import { type LeaseDeal, summarizeLease } from "../kinds/lease";
import { priceLease } from "../kinds/lease/pricing";
import { evaluateLoan, type LoanDeal, summarizeLoan } from "../kinds/loan";
import { type Result, success } from "../result";
import { needsPlan, settle } from "../structure";
import { type Amounts, leaseAmounts, loanAmounts } from "./measured";

/** What a deal asks of the customer with a program, in minor units. */
export type Asked = {
  payment: number;
  /** The greatest regular payment, with tax and charges. */
  mostPayment: number;
  /** Everything that leaves the customer's pocket; of a lease whose vehicle is returned. */
  totalCost: number;
};

export const isLeaseDeal = (deal: LoanDeal | LeaseDeal): deal is LeaseDeal => deal.plan.kind === "lease";

/** What the amounts of a deal come to; its rate counts only where a line is reckoned from the payments. */
export function amountsOf(deal: LoanDeal | LeaseDeal): Result<Amounts> {
  if (isLeaseDeal(deal)) {
    const priced = priceLease(deal);
    return priced.ok ? success(leaseAmounts(deal, priced.value.found)) : priced;
  }
  if (!needsPlan(deal.structure)) return success(loanAmounts(deal, settle(deal.structure)));
  const summary = summarizeLoan(deal);
  return summary.ok ? success(loanAmounts(deal, summary.value.reckoned)) : summary;
}

/** What a deal asks of the customer. */
export function askedOf(deal: LoanDeal | LeaseDeal): Result<Asked> {
  if (!isLeaseDeal(deal)) return askedOfLoan(deal);
  const summary = summarizeLease(deal);
  if (!summary.ok) return summary;
  const { payment, totalIfReturned, withPayments } = summary.value;
  return success({ payment, mostPayment: payment + withPayments.each, totalCost: totalIfReturned });
}

function askedOfLoan(loan: LoanDeal): Result<Asked> {
  const summary = summarizeLoan(loan);
  if (!summary.ok) return summary;
  const { payment, totalCost, isLevel, charges } = summary.value;
  const most = isLevel ? payment : greatestOf(loan);
  return success({ payment, mostPayment: most + (charges?.all.each ?? 0), totalCost });
}

/** The greatest payment of a plan without what is paid extra; the last, which takes up the cents, is none of the regular ones. */
function greatestOf({ plan, ...deal }: LoanDeal): number {
  const { extra: _extra, ...planned } = plan;
  const quote = evaluateLoan({ ...deal, plan: planned });
  if (!quote.ok) return 0;
  const paid = quote.value.schedule.filter(({ kind }) => kind === "payment" || kind === "interestOnly");
  const regular = paid.length > 1 && !plan.datedPayments ? paid.slice(0, -1) : paid;
  return regular.reduce((most, { payment }) => Math.max(most, payment), 0);
}
