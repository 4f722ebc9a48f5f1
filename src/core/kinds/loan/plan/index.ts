export { accrualAfter, interestLeft, type Repaid, rateOfPeriod, type Share, shareOf } from "./accrual";
export { calendarOf, type DatedPlan, firstPaymentDate, paymentDates } from "./calendar";
export { type Calendar, type Earning, type Flat, rateByDays } from "./draft";
export {
  type EarlyFee,
  type EarlyMoney,
  earlyFeeAt,
  earlyFeeOf,
  earlyFeesOf,
  earlyFeesOn,
} from "./early-fee";
export { explainFault } from "./explain-fault";
export { type DatedExtra, type Extra, extraEvents, whenOfExtra } from "./extras";
export { flatCharge, flatTrueRate } from "./flat-rate";
export { hasLevelPlan, readLevelTerms } from "./level-terms";
export { balloonOf, loanOf } from "./loan-of";
export { mostRounding } from "./most-rounding";
export { paidAtStart } from "./paid-at-start";
export { PLAIN_PART_NAMES, PLAIN_PARTS, type PlainPartName, plainPartOf } from "./plain-parts";
export type { LoanPlan } from "./plan";
export { readTerms, solvable } from "./read-terms";
export {
  amountWithEach,
  BY_EXTRAS,
  isFault,
  type Loan,
  type PaymentRow,
  type Repayment,
  regularPayment,
  repay,
  repayFlatRate,
  whatIsLeft,
} from "./repay";
export type { Planned, Terms } from "./terms";
export { unroundedPayment } from "./unrounded-payment";
