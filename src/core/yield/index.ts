export { type AnnualPercentageRate, annualPercentageRate } from "./annual-percentage-rate";
export {
  effectiveAnnualRate,
  effectiveRateOfFlows,
  type YearFlow,
  yearlyRateOfFlows,
} from "./effective-annual-rate";
export { oddDaysInYears } from "./odd-days";
export { type Flow, rateOfFlows } from "./rate-of-flows";
export { rateOfStream, type Stream, type Stretch } from "./rate-of-stream";
export type { DatedAmount, Transaction } from "./transaction";
export { UNDATED_START } from "./undated-start";
export type { UnitPeriod } from "./unit-period";
