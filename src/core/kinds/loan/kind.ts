import type { Bought, Kind, ReachTerm } from "../kind";
import { LOAN_AXES } from "./axes";
import type { LoanDeal } from "./deal";
import { LOAN_FIGURES } from "./figures";
import { loanFigureAt } from "./figures/figure-at";
import { type Answer, answer } from "./find";
import { LOAN_GIVING_WAY } from "./giving-way";
import { loanMoney } from "./money-over-time";
import { evaluateLoan, type LoanQuote, type LoanSummary, summarizeLoan } from "./quote";
import { loanWorking, type WorkedFigure } from "./working";

/** Loans. */
export const LOAN: Kind<LoanDeal, LoanQuote, LoanSummary, { deal: LoanDeal; found: Answer }> = {
  name: "loan",
  evaluate: evaluateLoan,
  summarize: summarizeLoan,
  axes: LOAN_AXES,
  figures: LOAN_FIGURES,
  figureAt: loanFigureAt,
  bought,
  overTerm,
  givingWay: LOAN_GIVING_WAY,
  working: (quote, figure) => loanWorking(quote, figure as WorkedFigure),
  moneyOverTime: loanMoney,
};

function bought(deal: LoanDeal): Bought {
  const found = answer(deal);
  if (!found.ok) return { isReached: false, sentence: found.failure.sentence };
  const { structure, amountFinanced, financeCharge } = found.value.priced;
  return { isReached: true, financed: amountFinanced, price: structure.price ?? 0, financeCharge };
}

function overTerm(deal: LoanDeal, { payments, yearlyRate }: ReachTerm): LoanDeal {
  return { ...deal, plan: { ...deal.plan, payments, yearlyRate } };
}
