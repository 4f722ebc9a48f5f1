export type { LoanFile } from "./file/file.schema";
export { readLoan } from "./read";
export { knownWords } from "./words/known";
