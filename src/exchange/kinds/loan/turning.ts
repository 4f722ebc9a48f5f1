import type { LoanQuote } from "@/core";
import { type Turning, typedOnly } from "../kind/turning";
import type { LoanFile } from "./file/file.schema";
import { giveFound } from "./give-found";

/** How a loan is turned into another kind, and another one into a loan. */
export const LOAN_TURNING: Turning<LoanFile, LoanQuote> = {
  giveFound,
  takenOver({ yearlyRate, payments, frequency, rounding, roundingStep, signed, balloon }) {
    return { yearlyRate, payments, frequency, rounding, roundingStep, signed, atEnd: atEndOf(balloon) };
  },
  firstPlan: ({ atEnd: _, ...taken }) => typedOnly<LoanFile["plan"]>({ kind: "loan", ...taken }),
};

/** What is left at the end, without what of it only a loan can have. */
const atEndOf = (balloon: LoanFile["plan"]["balloon"]) =>
  balloon && ("percent" in balloon ? { percent: balloon.percent } : { amount: balloon.amount });
