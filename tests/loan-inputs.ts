import { type DealFile, type DealInputs, isLeaseInputs } from "@/exchange/deal-file";
import type { LeaseFile } from "@/exchange/lease-file";

/** What was typed of a deal that is a loan. */
export function loanInputs(inputs: DealInputs): DealFile {
  if (isLeaseInputs(inputs)) throw new Error("It is a lease.");
  return inputs;
}

/** What was typed of a deal that is a lease. */
export function leaseInputs(inputs: DealInputs): LeaseFile {
  if (!isLeaseInputs(inputs)) throw new Error("It is a loan.");
  return inputs;
}
