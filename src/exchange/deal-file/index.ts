export { readDeal } from "./read-deal";
export type { DealFile } from "./schema";
