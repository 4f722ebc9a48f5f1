import { type LoanDeal, type Result, readCurrency, success } from "@/core";
import { fileReader } from "../../reading";
import { readStructure } from "../../structure";
import type { LoanFile } from "./file/file.schema";
import { refuseFound, refuseOpenExtras } from "./found";
import { readKnown } from "./known";
import { readPlan } from "./plan";

/**
 * Turns a deal file that passed its schema into the deal that the core computes with.
 *
 * @returns the deal, or a failure naming the figure that cannot be read or contradicts `find`
 */
export function readLoan(file: LoanFile): Result<LoanDeal> {
  const decimals = readCurrency(file.currency);
  if (!decimals.ok) return decimals;
  const read = fileReader(file.currency);
  refuseFound(file, read);
  const deal: LoanDeal = {
    currency: file.currency,
    structure: readStructure(file.structure, file.find, read),
    plan: readPlan(file.plan, read),
    find: file.find,
    ...(file.from && { from: readKnown(file.from, read) }),
  };
  refuseOpenExtras(deal, read);
  const failure = read.failure();
  return failure ? { ok: false, failure } : success(deal);
}
