export {
  type Affordable,
  affordability,
  type PerThousand,
  paymentPerThousand,
  type Unaffordable,
} from "./affordability";
export { firstPaymentDate } from "./calendar-of";
export { type CostOfCredit, costOfCredit } from "./cost-of-credit";
export type { CashDown, Deal, FoundFigure, Known, KnownFigure, LoanPlan, TradeIn } from "./deal";
export { evaluate, find, summarize } from "./evaluate";
export { type Payoff, payoffAfter, payoffOn, type Refund } from "./payoff";
export type { Quote, Saved, Summary } from "./quote";
export { cashDown, type StructureLine, structureLines } from "./structure";
export { HIGHEST_YEARLY_RATE, MOST_PAYMENTS } from "./terms";
export {
  type Totals,
  totalsBetweenDates,
  totalsBetweenPayments,
  totalsByYear,
  type YearTotals,
} from "./totals";
export { WORKED_FIGURES, type WorkedFigure, type WorkingStep, working } from "./working";
