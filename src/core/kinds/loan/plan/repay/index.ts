export { BY_EXTRAS } from "./by-extras";
export { mostBalloon } from "./closing";
export { repayFlatRate } from "./flat-rate-table";
export { amountWithEach, type ByExtras, type Loan } from "./loan";
export { plannedPayment } from "./planned-payment";
export { whatIsLeft } from "./recast";
export { regularPayment, repay } from "./repay";
export type { PaymentRow, Repayment, RowKind } from "./row";
export { type Fault, isFault } from "./standing";
