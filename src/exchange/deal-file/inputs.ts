import type { LeaseDeal, LoanDeal, Result } from "@/core";
import { type LeaseFile, readLease } from "../lease-file";
import type { DealFile } from "./deal-file.schema";
import { readDeal } from "./read-deal";

/** What the officer typed of an option: a loan, or a lease. */
export type DealInputs = DealFile | LeaseFile;

/** Whether an option is a lease. */
export function isLeaseInputs(inputs: DealInputs): inputs is LeaseFile {
  return inputs.plan.kind === "lease";
}

/** Turns what was typed, once it passed its schema, into the loan or the lease that the core computes with. */
export function readInputs(inputs: DealInputs): Result<LoanDeal | LeaseDeal> {
  return isLeaseInputs(inputs) ? readLease(inputs) : readDeal(inputs);
}
