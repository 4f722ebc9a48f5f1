export type { DealFile } from "./deal-file.schema";
export { type DealInputs, isLeaseInputs, readInputs } from "./inputs";
export { knownWords } from "./known-words";
export { readDeal } from "./read-deal";
