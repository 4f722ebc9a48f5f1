import { lazy, memo, Suspense } from "react";
import type { LoanQuote } from "@/core";
import { type LoanSentenceFigure, loanSentence } from "@/exchange/kinds/loan/words/sentence";
import { Sentence, type Way } from "../../answer/Sentence";
import { SentenceCard } from "../../answer/SentenceCard";
import { useSentenceWriter } from "../../answer/use-sentence-writer";
import { type LoanState, shownQuote } from "../../option";
import { useOptionOf } from "../../option/option-context";
import { LoanFindBar } from "./LoanFindBar";

/** The answer of a loan in one plain sentence. */
export const LoanSentence = memo(function LoanSentence() {
  return (
    <SentenceCard findBar={<LoanFindBar />}>
      <LoanWords />
    </SentenceCard>
  );
});

/** The sentence of a loan that is being signed, too. */
export function LoanWords() {
  const { option } = useOptionOf("loan");
  const quote = shownQuote(option);
  return quote && <Words quote={quote} signed={option.signedSentence} />;
}

const WAYS: Record<LoanSentenceFigure, Way> = {
  price: { find: "price", name: "Price" },
  down: { find: "down", field: "down", name: "Cash down" },
  payments: { find: "payments", field: "payments", name: "Number of payments" },
  payment: { find: "payment", name: "Payment" },
  firstPayment: { field: "firstPayment" },
  yearlyRate: { find: "yearlyRate", field: "yearlyRate", name: "Yearly rate" },
  balloon: { find: "balloon", field: "balloon", name: "Balloon" },
};

// Few loans skip dates, change their payment, or end before their time.
const EndText = lazy(() => import("./EndText").then(({ EndText: text }) => ({ default: text })));

const endsOtherwise = ({ payments, paymentsMade, plannedPayments, filled: { plan } }: LoanQuote) =>
  payments !== paymentsMade ||
  payments !== plannedPayments ||
  plan.steps !== undefined ||
  plan.extra !== undefined;

function Words({ quote, signed }: { quote: LoanQuote; signed: LoanState["signedSentence"] }) {
  const write = useSentenceWriter(quote.deal.currency);
  if (signed) return <Sentence segments={signed(write)} ways={WAYS} />;
  return (
    <>
      <Sentence segments={loanSentence(quote, write)} ways={WAYS} />
      {endsOtherwise(quote) && (
        <Suspense fallback={null}>
          {" "}
          <EndText quote={quote} write={write} />
        </Suspense>
      )}
    </>
  );
}
