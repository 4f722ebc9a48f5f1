export { type AnnualPercentageRate, annualPercentageRate } from "./annual-percentage-rate";
export {
  effectiveAnnualRate,
  oddDaysInYears,
  type YearFlow,
  yearlyRateOfFlows,
} from "./effective-annual-rate";
export { type Flow, rateOfFlows } from "./rate-of-flows";
export { rateOfStream, type Stream, type Stretch } from "./rate-of-stream";
export type { DatedAmount, Transaction } from "./transaction";
export type { UnitPeriod } from "./unit-period";
