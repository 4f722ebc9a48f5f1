export { type LevelLoan, type PaymentRow, repaymentTable } from "./repayment-table";
