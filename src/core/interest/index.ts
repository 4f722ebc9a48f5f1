export { type Decimal, parseDecimal } from "./decimal";
export { percentOf } from "./percent-of";
export { interestCharger } from "./period-interest";
export { type PeriodRate, periodRate } from "./period-rate";
