import { RepaymentTable } from "@/features/repayment/RepaymentTable";
import type { AnswerProps } from "../../answer/answer-props";
import { isStale, notationIn, shownQuote } from "../../option";
import { useLoan } from "../../option/option-context";
import { LoanCosts } from "./LoanCosts";
import { LoanSentence, LoanWords } from "./LoanSentence";
import { PLAIN_LOAN } from "./plain-loan";

export { LoanStructure } from "./LoanStructure";
export { PlanCard as LoanPlan } from "./plan/PlanCard";
export { PLAIN_LOAN };

/** What not every loan needs; from here it comes without what every loan has. */
export const loadWholeLoan = async () => (await import("./whole-loan")).wholeLoan(PLAIN_LOAN);

/** What is signed of a loan: its sentence and what it costs. */
export function LoanSigned() {
  return (
    <>
      <p className="font-serif text-[1.25rem] leading-[1.5]">
        <LoanWords />
      </p>
      <LoanCosts />
    </>
  );
}

/** The answer of a loan, with its costs and its table where nothing else is looked at. */
export function LoanAnswer({ fileName, isWhole }: AnswerProps) {
  const { option } = useLoan();
  const quote = shownQuote(option);
  if (!isWhole) return <LoanSentence />;
  return (
    <>
      <LoanSentence />
      <LoanCosts />
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
