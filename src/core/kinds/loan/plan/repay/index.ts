export { mostBalloon } from "./closing";
export { repayFlatRate } from "./flat-rate-table";
export type { Loan } from "./loan";
export { regularPayment, repay } from "./repay";
export type { PaymentRow, Repayment, RowKind } from "./row";
export { type Fault, isFault } from "./standing";
