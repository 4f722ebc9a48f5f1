export type { CashDown, Deal, FoundFigure, LoanPlan, TradeIn } from "./deal";
export { evaluate } from "./evaluate";
export { find } from "./find";
export type { Quote } from "./quote";
export { cashDown, type StructureLine, structureLines } from "./structure";
export { firstPaymentDate, HIGHEST_YEARLY_RATE, MOST_PAYMENTS } from "./terms";
export { type WorkedFigure, type WorkingStep, working } from "./working";
