export * from "./calendar";
export * from "./deal";
export { type Decimal, parseDecimal } from "./interest";
export type { PaymentRow } from "./loan";
export {
  currencyDecimals,
  formatAmount,
  groupedAmount,
  LARGEST_AMOUNT,
  parseAmount,
  type Rounding,
  readCurrency,
} from "./money";
export { convertRate, type NominalCompounding, type RateKind } from "./rates";
export { type Failure, type Figure, failure, type Result, success } from "./result";
export {
  type LastPayment,
  type Money,
  solveTimeValue,
  type TimeValue,
  type TimeValueAnswer,
} from "./time-value";
export {
  annualPercentageRate,
  effectiveAnnualRate,
  type Transaction,
  type UnitPeriod,
} from "./yield";
