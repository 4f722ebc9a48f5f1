import type { LoanDeal, Result } from "@/core";
import type { LoanFile } from "./file/file.schema";
import { readPlainPlan } from "./plan/read-plain";
import { loanReader } from "./read-with";

/**
 * The same as `readLoan` for a loan whose plan has no more parts than every one: what starts with such a loan needs none
 * of the others.
 */
export const readPlainLoan: (file: LoanFile) => Result<LoanDeal> = loanReader({ plan: readPlainPlan });
