export { type Answering, evaluate, quoteBy, summarize } from "./evaluate";
export { type Machine, machineOf } from "./machine";
export type { Quote, Saved, Summary } from "./quote";
