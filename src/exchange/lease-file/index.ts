export type { LeaseFile } from "./lease-file.schema";
export type { LeasePlanFile, LeaseTaxFile } from "./lease-plan.schema";
export type { LeaseQuestion } from "./lease-questions.schema";
export { readLease } from "./read-lease";
export {
  distanceWords,
  LEASE_TAX_ON_WORDS,
  leasePlanWords,
  leaseTaxWords,
  RECKONING_WORDS,
  RESIDUAL_DUE_WORDS,
} from "./words";
