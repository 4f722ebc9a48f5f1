export { LOAN_COSTS, type LoanOnMap } from "./costs";
export { LOAN_FIGURES } from "./figures";
