export {
  type Affordable,
  affordability,
  type CostOfCredit,
  chargeColumn,
  costOfCredit,
  costOfLevel,
  leaseEffectiveRate,
  type MoneyAt,
  moneyAfter,
  moneyOverTime,
  type Payoff,
  type PerThousand,
  paymentPerThousand,
  payoffAfter,
  payoffOn,
  type RebateOrRate,
  type Refund,
  rebateOrRate,
  type Totals,
  totalsBetweenDates,
  totalsBetweenPayments,
  totalsByYear,
  type Unaffordable,
  type YearTotals,
} from "./after";
export * from "./calendar";
export { type Deal, FOUND_FIGURES, type FoundFigure, type Known, type KnownFigure } from "./kinds/loan/deal";
export { dependsOn, isLevel, isPlain, levelAnswer } from "./kinds/loan/find";
export { type Decimal, parseDecimal } from "./interest";
export * from "./limits";
export {
  currencyDecimals,
  formatAmount,
  groupedAmount,
  parseAmount,
  type Rounding,
  readCurrency,
} from "./money";
export {
  endLeaseEarly,
  evaluateLease,
  excessDistance,
  LEASE_FIGURES,
  LEASE_KNOWN,
  LEASE_NAMES,
  LEASE_RATE_NOTICE,
  type Lease,
  type LeaseDueItem,
  type LeaseFigure,
  type LeaseKnown,
  type LeaseLine,
  type LeasePlan,
  type LeaseQuote,
  type LeaseRow,
  type LeaseSummary,
  type LeaseTax,
  leaseTally,
  PERCENT_OF_FACTOR,
  summarizeLease,
} from "./kinds/lease";
export { type DatedPlan, firstPaymentDate, type LoanPlan, type PaymentRow, paymentDates } from "./kinds/loan/plan";
export { type Answering, evaluate, type Quote, quoteBy, type Saved, type Summary, summarize } from "./kinds/loan/quote";
export { convertRate, type NominalCompounding, type RateKind } from "./rates";
export { type Failure, type Figure, failure, type Result, success } from "./result";
export {
  type CashDown,
  type Charge,
  type ChargeAmount,
  type ChargePaid,
  type DueItem,
  isDownFromDue,
  type LineNames,
  type Personal,
  prepaidCharges,
  type Rebate,
  type Reckoned,
  type Structure,
  type StructureFigure,
  settle,
  type TallyLine,
  type Tax,
  type TradeIn,
  tally,
} from "./structure";
export {
  type LastPayment,
  type Money,
  solveTimeValue,
  type TimeValue,
  type TimeValueAnswer,
} from "./time-value";
export { CORE_VERSION } from "./version";
export {
  leaseWorking,
  WORKED_FIGURES,
  WORKED_LEASE_FIGURES,
  type WorkedFigure,
  type WorkedLeaseFigure,
  type WorkingStep,
  working,
} from "./kinds/loan/working";
export {
  type AnnualPercentageRate,
  annualPercentageRate,
  effectiveAnnualRate,
  type Transaction,
  type UnitPeriod,
} from "./yield";
