export type { LeaseFile } from "./file/file.schema";
export type { LeasePlanFile, LeaseTaxFile } from "./file/plan.schema";
export type { LeaseQuestion } from "./file/questions.schema";
export { readLease } from "./read";
export {
  distanceWords,
  LEASE_TAX_ON_WORDS,
  leasePlanWords,
  leaseTaxWords,
  RECKONING_WORDS,
  RESIDUAL_DUE_WORDS,
} from "./words/plan";
