export { type Affordable, affordability, type Unaffordable } from "./affordability";
export {
  type EarlyGrid,
  type ExtraMoney,
  earlyWorking,
  type GridPlace,
  inPlaceOf,
  type KeepOrPay,
  keepOrPay,
  keepOrPayWorking,
  type PaidOffBy,
  type PaidOffTarget,
  paidOffBy,
  type RepaidEarly,
  type ReturnAfterTax,
  repaidEarly,
  returnAfterTax,
  walkEarlyGrid,
  whyNoExtras,
  type YearlyReturn,
} from "./extra-payments";
export { type ExtraAlone, type ExtrasOneByOne, extrasOneByOne } from "./extras-one-by-one";
export {
  type Chargeback,
  type ChargedBack,
  chargebackAfter,
  contractRate,
  type DealerSide,
  type EarnedLine,
  type EarnsIt,
  type ExtraChargeback,
  earnedOf,
  type Gross,
  type Income,
  income,
  incomeThatEarns,
  incomeWorking,
  isFlatOnly,
  isSameRate,
  NO_SIDE,
  type OfficerShare,
  type OtherIncome,
  type Reserve,
  type ReserveTerms,
  reserveOf,
  spreadOf,
  type WantedIncome,
} from "./income";
export { type Itemization, type ItemizedLine, itemization } from "./itemization";
export { type PaymentGroup, paymentGroups } from "./payment-groups";
export { type PerThousand, paymentPerThousand } from "./payment-per-thousand";
export { type Payoff, type PayoffTerms, payoffAfter, payoffOn, payoffWorking, type Refund } from "./payoff";
export { principalLeads } from "./principal-leads";
export { type RebateOrRate, rebateOrRate } from "./rebate-or-rate";
export { type SaleConventions, type SaleOnCredit, saleOnCredit } from "./sale-on-credit";
export {
  type Totals,
  totalsBetweenDates,
  totalsBetweenPayments,
  totalsByYear,
  totalsOfRows,
  type YearTotals,
} from "./totals";
export { type GroupedBy, type YearGroup, yearGroups } from "./year-groups";
