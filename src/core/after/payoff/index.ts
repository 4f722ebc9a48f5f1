export { rateOfPeriod } from "./accrual";
export { interestAfter } from "./interest-after";
export { type Payoff, type PayoffTerms, payoffAfter, payoffOn } from "./payoff";
export type { Refund } from "./refunds";
