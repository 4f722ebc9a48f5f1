import type { LeaseDeal, LoanDeal, Result } from "@/core";
import { type LeaseFile, readLease } from "../kinds/lease";
import type { LoanFile } from "../kinds/loan/file.schema";
import { readLoan } from "../kinds/loan/read";

/** What the officer typed of an option: a loan, or a lease. */
export type DealFile = LoanFile | LeaseFile;

/** Whether an option is a lease. */
export function isLease(inputs: DealFile): inputs is LeaseFile {
  return inputs.plan.kind === "lease";
}

/** Turns what was typed, once it passed its schema, into the loan or the lease that the core computes with. */
export function readDeal(inputs: DealFile): Result<LoanDeal | LeaseDeal> {
  return isLease(inputs) ? readLease(inputs) : readLoan(inputs);
}
