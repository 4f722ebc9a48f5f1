export type { DealFile } from "./deal-file.schema";
export { knownWords } from "./known-words";
export { readDeal } from "./read-deal";
export { structureWords } from "./structure-words";
