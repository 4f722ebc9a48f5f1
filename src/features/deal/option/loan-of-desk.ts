// What every loan needs: its computation, its tally and the fields of its plan.
import {
  type Answering,
  isLevel,
  type LoanDeal,
  type LoanQuote,
  levelAnswer,
  quoteBy,
  type Result,
} from "@/core";
import { type LoanFile, readLoan } from "@/exchange/kinds/loan";

export { loanField } from "../fields/loan-fields";
export { tallyOfLoan, tallyOfLoanDraft } from "./loan-tally";

/**
 * A loan as it was typed, read and answered.
 *
 * @param search what answers a loan that is not level
 */
export function answerLoan(
  inputs: LoanFile,
  search: () => Answering,
): { deal: Result<LoanDeal>; answer: Result<LoanQuote> } {
  const deal = readLoan(inputs);
  if (!deal.ok) return { deal, answer: deal };
  return { deal, answer: quoteBy(isLevel(deal.value) ? levelAnswer : search(), deal.value) };
}
