import { FREQUENCY_NAMES } from "@/core";
import type { KindWords } from "../../kind/words";
import type { LoanFile } from "../file/file.schema";
import { loanFigures } from "./figures";

/** A loan as it was typed, in words. */
export const LOAN_WORDS: KindWords<LoanFile> = {
  figures: loanFigures,
  term({ plan: { datedPayments, payments, frequency } }) {
    const { adjective } = FREQUENCY_NAMES[frequency];
    if (datedPayments?.length) return `${datedPayments.length} listed`;
    return payments ? `${payments} ${adjective}` : adjective;
  },
};
