import type { KnownAmount } from "@/core";
import type { LoanFile } from "./file.schema";

/** The one amount that a file's figure is found from. */
export const knownAmount = (from: NonNullable<LoanFile["from"]>): [KnownAmount, string | number] =>
  Object.entries(from)[0] as [KnownAmount, string | number];
