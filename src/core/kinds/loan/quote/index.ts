export { evaluate, summarize } from "./evaluate";
export type { Machine } from "./kept-machine";
export { machineOf } from "./machine";
export type { Quote, Saved, Summary } from "./quote";
export { type Answering, quoteBy, summaryOf } from "./quote-by";
