export { type CapitalizedLine, capitalizedSums, capitalizedTally } from "./capitalized";
export { cashDown, isDownFromDue } from "./cash-down";
export { chargeColumn } from "./charge-column";
export {
  chargeAmounts,
  chargesOf,
  eachCharge,
  fallsWithPayments,
  isReckonedFromLoan,
  sumOfCharges,
  totalOf,
} from "./charges";
export {
  type ChargesWithPayments,
  chargesWithPayments,
  type DueAtSigning,
  type DueItem,
  dueBesidesDown,
  dueItems,
  NOTHING_PAID,
  type PaidThatDay,
  totalWithPayments,
} from "./due-at-signing";
export {
  CAPITALIZED_FIGURES,
  type CapitalizedFigure,
  FINANCED_FIGURES,
  ownCostOf,
  type StructureFigure,
} from "./lines";
export { cashReceived, prepaidCharges } from "./paid-out";
export { percentProblem, settledProblem } from "./problems";
export type { Reckoned } from "./reckon";
export { coveredText, ownCostTerms, type SumText, sumText, type Term } from "./say-structure";
export { NO_PLAN, needsPlan, type PlanCosts, settle } from "./settle";
export { cashFor, priceFor } from "./solve-structure";
export type {
  CashDown,
  Charge,
  ChargeAmount,
  ChargePaid,
  LineNames,
  Personal,
  Rebate,
  Structure,
  Tax,
  TaxedLines,
  TradeIn,
} from "./structure";
export { type TallyLine, tally } from "./tally";
export { creditedAllowance, creditedRebates, type TaxAmount, taxedTerms, taxIn } from "./taxes";
