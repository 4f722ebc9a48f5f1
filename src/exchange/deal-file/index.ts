export type { DealFile } from "../kinds";
export { isLease } from "./is-lease";
export { readDeal } from "./read-deal";
