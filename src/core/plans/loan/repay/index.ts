export { repayFlatRate } from "./flat-rate-table";
export type { Loan } from "./loan";
export { type Fault, isFault, regularPayment, repay } from "./repay";
export type { PaymentRow, Repayment, RowKind } from "./row";
