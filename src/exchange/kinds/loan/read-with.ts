import { type Known, type LoanDeal, type LoanPlan, type Result, readCurrency, success } from "@/core";
import { fileReader, type Reader } from "../../reading";
import { readStructure } from "../../structure";
import type { LoanFile } from "./file/file.schema";
import { refuseFound } from "./found";

/** How what not every loan has is read. */
type Ways = {
  plan: (plan: LoanFile["plan"], read: Reader) => LoanPlan;
  /** What its figure is found from. */
  known?: (from: NonNullable<LoanFile["from"]>, read: Reader) => Known;
  /** Refuses what cannot be, of a deal that was read. */
  refuse?: (deal: LoanDeal, read: Reader) => void;
};

/** Makes what turns a deal file into the deal that the core computes with. */
export function loanReader({ plan, known, refuse }: Ways): (file: LoanFile) => Result<LoanDeal> {
  return file => {
    const decimals = readCurrency(file.currency);
    if (!decimals.ok) return decimals;
    const read = fileReader(file.currency);
    refuseFound(file, read);
    const deal: LoanDeal = {
      currency: file.currency,
      structure: readStructure(file.structure, file.find, read),
      plan: plan(file.plan, read),
      find: file.find,
      ...(file.from && known && { from: known(file.from, read) }),
    };
    refuse?.(deal, read);
    const failure = read.failure();
    return failure ? { ok: false, failure } : success(deal);
  };
}
