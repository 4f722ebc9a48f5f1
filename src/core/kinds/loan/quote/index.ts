export { evaluateLoan, summarizeLoan } from "./evaluate";
export type { Machine } from "./kept-machine";
export { machineOf } from "./machine";
export { unusedExtras } from "./notes";
export type { LoanQuote, LoanSummary, Saved } from "./quote";
export { type Answering, quoteBy, summaryOf } from "./quote-by";
export { repaidOf } from "./repaid-of";
