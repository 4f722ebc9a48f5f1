export type { LoanFile } from "../kinds/loan/file.schema";
export { type DealFile, isLease, readDeal } from "./deal-file";
export { knownWords } from "../kinds/loan/words/known";
export { readLoan } from "../kinds/loan/read";
