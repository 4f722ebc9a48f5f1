export { type Affordable, affordability, pricedBy, type Unaffordable } from "./affordability";
export { chargeColumn } from "../structure/charge-column";
export { costOfCredit, transactionOf } from "../kinds/loan/credit/cost-of-credit";
export { costOfLevel } from "../kinds/loan/credit/cost-of-level";
export { aprOfStream, costOfStream } from "../kinds/loan/credit/cost-of-stream";
export type { CostOfCredit } from "../kinds/loan/credit/cost-of-stretches";
export { leaseCreditCosts, leaseEffectiveRate } from "../kinds/lease/after/effective-rate";
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
