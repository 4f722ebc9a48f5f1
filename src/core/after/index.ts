export { type Affordable, affordability, type Unaffordable } from "./affordability";
export {
  type KeepOrPay,
  keepOrPay,
  type PaidOffBy,
  type PaidOffTarget,
  type PaidOffWith,
  paidOffBy,
  type RepaidEarly,
  repaidEarly,
  whyNoExtras,
  type YearlyReturn,
} from "./extra-payments";
export { type PerThousand, paymentPerThousand } from "./payment-per-thousand";
export { type Payoff, type PayoffTerms, payoffAfter, payoffOn, type Refund } from "./payoff";
export { type RebateOrRate, rebateOrRate } from "./rebate-or-rate";
export { type GroupedBy, principalLeads, type RowGroup, rowGroups } from "./row-groups";
export {
  type Totals,
  totalsBetweenDates,
  totalsBetweenPayments,
  totalsByYear,
  totalsOfRows,
  type YearTotals,
} from "./totals";
