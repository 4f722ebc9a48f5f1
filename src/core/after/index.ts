export { type Affordable, affordability, type Unaffordable } from "./affordability";
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
