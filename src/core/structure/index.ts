export { cashDown, cashDownProblem } from "./cash-down";
export { STRUCTURE_LINES, type StructureFigure } from "./lines";
export { coveredText, loanAmountText, totalCostText } from "./say-structure";
export { cashFor, priceFor } from "./solve-structure";
export type { CashDown, Structure, TradeIn } from "./structure";
export { loanAmountOf, ownCost, type TallyLine, tally } from "./tally";
