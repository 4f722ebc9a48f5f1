export type { DealFile } from "./deal-file.schema";
export { knownWords } from "./known-words";
export { PAID_WORDS, type PaidBy, PERCENT_OF_WORDS, paidBy } from "./paid-by";
export { readDeal } from "./read-deal";
export { tradeInsOf } from "./structure";
export { structureWords } from "./structure-words";
