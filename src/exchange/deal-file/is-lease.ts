import type { DealFile } from "../kinds";
import type { LeaseFile } from "../kinds/lease/file/file.schema";

/** Whether an option is a lease. */
export function isLease(inputs: DealFile): inputs is LeaseFile {
  return inputs.plan.kind === "lease";
}
