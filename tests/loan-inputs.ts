import { type DealFile, isLease } from "@/exchange/deal-file";
import type { LeaseFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";

/** What was typed of a deal that is a loan. */
export function loanInputs(inputs: DealFile): LoanFile {
  if (isLease(inputs)) throw new Error("It is a lease.");
  return inputs;
}

/** What was typed of a deal that is a lease. */
export function leaseInputs(inputs: DealFile): LeaseFile {
  if (!isLease(inputs)) throw new Error("It is a loan.");
  return inputs;
}
