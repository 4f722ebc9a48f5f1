import { aprOfStream, costOfCredit } from "../credit";
import type { LoanDeal } from "../deal";
import { type Answer, answer } from "../find";
import { summaryOf } from "../quote";
import type { LoanFigure } from "./costs";
import { LOAN_FIGURES } from "./figures";

/** One figure of a loan, without the rest of its answer. */
export function loanFigureAt(deal: LoanDeal, figure: string): number | null {
  const found = answer(deal);
  if (!found.ok) return null;
  const { mapped } = LOAN_FIGURES[figure as keyof typeof LOAN_FIGURES] as LoanFigure;
  return mapped?.({ ...found.value, apr: () => aprOf(deal, found.value) }) ?? null;
}

function aprOf(deal: LoanDeal, found: Answer): number | null {
  const summary = summaryOf(deal, found);
  const apr = aprOfStream(summary);
  if (apr !== undefined) return apr;
  const cost = costOfCredit(summary);
  return cost.ok ? cost.value.apr : null;
}
