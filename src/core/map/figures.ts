import { aprOfStream, costOfCredit } from "../after";
import { type Deal, dueAtSigning } from "../kinds/loan/deal";
import { type Answer, answer } from "../kinds/loan/find";
import { summarizeLease } from "../kinds/lease";
import { regularPayment } from "../kinds/loan/plan";
import { summaryOf } from "../kinds/loan/quote";
import { isLease, type Mapped } from "./axes";

/** The figures that a map can show. */
export const MAP_FIGURES = ["payment", "financeCharge", "totalCost", "apr", "dueAtSigning"] as const;

export type MapFigure = (typeof MAP_FIGURES)[number];

function aprOf(deal: Deal, found: Answer): number | null {
  const summary = summaryOf(deal, found);
  const apr = aprOfStream(summary);
  if (apr !== undefined) return apr;
  const cost = costOfCredit(summary);
  return cost.ok ? cost.value.apr : null;
}

/** The figures that a deal's map can show: a lease has no APR, and its finance charge is its rent charge. */
export const figuresOn = (deal: Mapped): MapFigure[] =>
  MAP_FIGURES.filter(figure => figure !== "apr" || !isLease(deal));

/**
 * One figure of a deal, exactly as its whole answer has it.
 *
 * @param deal a deal that asks for its payment
 * @returns minor units, percent a year of an APR; null where the deal has no answer, or no such figure
 * @example figureOf(deal, "payment") // 68397
 */
export function figureOf(deal: Mapped, figure: MapFigure): number | null {
  if (isLease(deal)) {
    const quote = summarizeLease(deal);
    if (!quote.ok) return null;
    const { payment, rentCharge, totalIfReturned, dueAtSigning } = quote.value;
    const figures = { payment, financeCharge: rentCharge, totalCost: totalIfReturned, apr: null };
    return figure === "dueAtSigning" ? dueAtSigning.total : figures[figure];
  }
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
}
