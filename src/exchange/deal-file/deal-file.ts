import type { Deal, Result } from "@/core";
import { type DealFile, fileKindOf } from "../kinds";
import type { LeaseFile } from "../kinds/lease/file.schema";

/** Whether an option is a lease. */
export function isLease(inputs: DealFile): inputs is LeaseFile {
  return inputs.plan.kind === "lease";
}

/** Turns what was typed, once it passed its schema, into the deal that the core computes with. */
export const readDeal = (inputs: DealFile): Result<Deal> => fileKindOf(inputs).read(inputs);
