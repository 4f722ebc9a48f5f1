export type { LeaseFile, LeaseQuestion } from "./lease-file.schema";
export { readLease } from "./read-lease";
