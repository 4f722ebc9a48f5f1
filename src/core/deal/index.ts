export { firstPaymentDate } from "./calendar-of";
export type { CashDown, Deal, FoundFigure, Known, KnownFigure, LoanPlan, TradeIn } from "./deal";
export { evaluate, find, summarize } from "./evaluate";
export type { Quote, Summary } from "./quote";
export { cashDown, type StructureLine, structureLines } from "./structure";
export { HIGHEST_YEARLY_RATE, MOST_PAYMENTS } from "./terms";
export { WORKED_FIGURES, type WorkedFigure, type WorkingStep, working } from "./working";
