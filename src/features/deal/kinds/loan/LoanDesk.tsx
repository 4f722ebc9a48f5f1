import { RepaymentTable } from "@/features/repayment/RepaymentTable";
import type { AnswerProps } from "../../answer/answer-props";
import { useFrame } from "../../desk/desk-context";
import { isStale, notationIn, shownQuote } from "../../option";
import { useOptionOf } from "../../option/option-context";
import { LoanCosts } from "./LoanCosts";
import { LoanSentence, LoanWords } from "./LoanSentence";
import { PLAIN_LOAN } from "./plain-loan";

export { LoanStructure as Structure } from "./LoanStructure";
export { PlanCard as Plan } from "./plan/PlanCard";
export { PLAIN_LOAN as KIND };

/** What not every loan needs; from here it comes without what every loan has. */
export const loadWhole = async () => (await import("./whole-loan")).wholeLoan(PLAIN_LOAN);

/** What is signed of a loan: its sentence and what it costs. */
export function Signed() {
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
export function Answer({ fileName, isWhole }: AnswerProps) {
  const { option } = useOptionOf("loan");
  const { show } = useFrame();
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
          onAll={() => show("repayment")}
        />
      )}
    </>
  );
}
