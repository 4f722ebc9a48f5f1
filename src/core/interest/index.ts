export { type Compounding, compoundingsPerYear } from "./compounding";
export { type Decimal, decimalText, parseDecimal, readPercent } from "./decimal";
export { factorOf, PERCENT_OF_FACTOR } from "./money-factor";
export { nominalRate } from "./nominal-rate";
export { percentOf } from "./percent-of";
export { periodInterest } from "./period-interest";
export { NO_RATE, type PeriodRate, periodRate, rationalRate, remembered, simpleRate } from "./period-rate";
