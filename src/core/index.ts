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
export { type Failure, type Figure, failure, type Result, success } from "./result";
