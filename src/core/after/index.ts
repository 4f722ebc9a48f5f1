export { type Affordable, affordability, pricedBy, type Unaffordable } from "./affordability";
export { chargeColumn } from "./charge-column";
export { costOfCredit, transactionOf } from "./cost-of-credit";
export { costOfLevel } from "./cost-of-level";
export { aprOfStream, costOfStream } from "./cost-of-stream";
export type { CostOfCredit } from "./cost-of-stretches";
export { leaseCreditCosts, leaseEffectiveRate } from "./lease-effective-rate";
export { type MoneyAt, moneyAfter, moneyOverTime } from "./money-over-time";
export { type PerThousand, paymentPerThousand } from "./payment-per-thousand";
export { type Payoff, payoffAfter, payoffOn, type Refund } from "./payoff";
export { type RebateOrRate, rebateOrRate } from "./rebate-or-rate";
export {
  type Totals,
  totalsBetweenDates,
  totalsBetweenPayments,
  totalsByYear,
  type YearTotals,
} from "./totals";
