import type { FoundFigure, KnownFigure, LoanDeal } from "./deal";

/** What the loan amount is made of, and can therefore be found from it. */
const STRUCTURE: readonly FoundFigure[] = ["price", "down", "downPercent", "allowance"];

/** Whether a known loan amount, or amount financed, stands in for the price, so that a figure of the plan can be found. */
export function standsInForPrice({ from, structure, find }: LoanDeal): boolean {
  const isLoan = from?.figure === "loanAmount" || from?.figure === "amountFinanced";
  return isLoan && structure.price === null && !STRUCTURE.includes(find);
}

/** What a deal's figure is found from, once the term follows from an end date; null where nothing is. */
export function knownFigure(deal: LoanDeal): KnownFigure | "lastPayment" | null {
  const { plan, find } = deal;
  const from = standsInForPrice(deal) ? undefined : deal.from;
  const isExtra = find === "extra" || find === "lump";
  if (from?.figure === "endDate" && !isExtra)
    return find === "payment" || find === "payments" ? null : "payment";
  if (from) return from.figure;
  if (find === "payment" || isExtra) return null;
  // With every payment of a list given, the list closes where its last payment is what it takes.
  const listed = plan.datedPayments;
  return listed?.every(({ amount }) => amount !== null) ? "lastPayment" : "payment";
}
