export { PAID_WORDS, type PaidBy, PERCENT_OF_WORDS, paidBy } from "./paid-by";
export { readStructure, readTax, tradeInsOf } from "./read-structure";
export type { StructureFile } from "./structure.schema";
export { structureWords, taxLimitWords } from "./words";
