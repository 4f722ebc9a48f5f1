import type { LoanDeal, Result } from "@/core";
import type { LoanFile } from "./file/file.schema";
import { readKnown } from "./known";
import { refuseOpenExtras } from "./open-extras";
import { readPlan } from "./plan";
import { loanReader } from "./read-with";

/**
 * Turns a deal file that passed its schema into the deal that the core computes with.
 *
 * @returns the deal, or a failure naming the figure that cannot be read or contradicts `find`
 */
export const readLoan: (file: LoanFile) => Result<LoanDeal> = loanReader({
  plan: readPlan,
  known: readKnown,
  refuse: refuseOpenExtras,
});
