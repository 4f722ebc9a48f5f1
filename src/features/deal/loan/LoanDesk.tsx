import { RepaymentTable } from "@/features/repayment/RepaymentTable";
import { isStale, notationIn, shownQuote } from "../option";
import { useLoan } from "../option/option-context";
import { PlanCard } from "../plan/PlanCard";
import { LoanCosts } from "./LoanCosts";
import { LoanSentence } from "./LoanSentence";

export { answerLoan, loanField, tallyOfLoan, tallyOfLoanDraft } from "../option/loan-of-desk";
export { LoanStructure } from "./LoanStructure";

/** What only some loans need; from here it comes without what every loan has. */
export const loadRest = () => import("../option/rest-of-desk");

/** The answer of a loan, its plan and its table. */
export function LoanAnswer({ fileName }: { fileName: string }) {
  const { option } = useLoan();
  const quote = shownQuote(option);
  return (
    <>
      <LoanSentence />
      <LoanCosts />
      <PlanCard />
      {quote && (
        <RepaymentTable
          quote={quote}
          notation={notationIn(option)}
          stale={isStale(option)}
          fileName={fileName}
        />
      )}
    </>
  );
}
