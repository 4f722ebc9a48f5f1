export type { LoanFile } from "./file.schema";
export { readLoan } from "./read";
export { knownWords } from "./words/known";
