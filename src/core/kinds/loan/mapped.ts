import type { Mapped } from "../kind";
import { aprOfStream, costOfCredit } from "./credit";
import { dueAtSigning, type LoanDeal } from "./deal";
import { type Answer, answer } from "./find";
import { regularPayment } from "./plan";
import { summaryOf } from "./quote";

/** The figures of a loan that a map can show. */
export const LOAN_MAPPED: Mapped<LoanDeal> = {
  figures: {
    payment: "payment",
    financeCharge: "finance charge",
    totalCost: "total cost",
    apr: "APR",
    dueAtSigning: "due at signing",
  },
  figureOf(deal, figure) {
    const found = answer(deal);
    if (!found.ok) return null;
    const { priced } = found.value;
    switch (figure) {
      case "payment":
        return regularPayment(priced.loan);
      case "dueAtSigning":
        return dueAtSigning(priced).total;
      case "apr":
        return aprOf(deal, found.value);
      default:
        return priced[figure];
    }
  },
};

function aprOf(deal: LoanDeal, found: Answer): number | null {
  const summary = summaryOf(deal, found);
  const apr = aprOfStream(summary);
  if (apr !== undefined) return apr;
  const cost = costOfCredit(summary);
  return cost.ok ? cost.value.apr : null;
}
