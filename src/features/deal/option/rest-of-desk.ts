// What a plain loan does not need: the search for figures, the general equations of
// its yearly rates, the fields of lines and of rare parts of a plan, and the way
// to a lease.
export { costOfCredit } from "@/core";
export { answer } from "@/core/kinds/loan/find";
export { turnInto } from "@/exchange/kinds/kind/turning";
export { LOAN_TURNING } from "@/exchange/kinds/loan/turning";
export { understood } from "@/exchange/typing";
export { planDates } from "../fields/date-text";
export { withDownKind } from "../fields/down-kind";
export { findInLoan } from "../fields/find-loan";
export { fromLoanKnown } from "../fields/loan-known";
export { rareLoanField } from "../fields/rare-loan-fields";
