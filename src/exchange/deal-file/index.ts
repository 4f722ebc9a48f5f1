export type { DealFile } from "../kinds";
export { isLease, readDeal } from "./deal-file";
