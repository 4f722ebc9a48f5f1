import { memo } from "react";
import type { LeaseQuote } from "@/core";
import { type LeaseSentenceFigure, leaseSentence } from "@/exchange/kinds/lease/words/sentence";
import { Sentence, type Way } from "../../answer/Sentence";
import { SentenceCard } from "../../answer/SentenceCard";
import { useSentenceWriter } from "../../answer/use-sentence-writer";
import { type LeaseState, shownQuote } from "../../option";
import { useOptionOf } from "../../option/option-context";
import { LeaseFindBar } from "./LeaseFindBar";

/** The answer of a lease in one plain sentence. */
export const LeaseSentence = memo(function LeaseSentence() {
  return (
    <SentenceCard findBar={<LeaseFindBar />}>
      <LeaseWords />
    </SentenceCard>
  );
});

/** The sentence of a lease that is being signed, too. */
export function LeaseWords() {
  const { option } = useOptionOf("lease");
  const quote = shownQuote(option);
  return quote && <Words quote={quote} signed={option.signedSentence} />;
}

const WAYS: Record<LeaseSentenceFigure, Way> = {
  payments: { find: "payments", name: "Term" },
  payment: { find: "payment", name: "Payment" },
  dueAtSigning: { field: "down" },
  residual: { find: "residual", field: "lease/residual", name: "Residual" },
};

function Words({ quote, signed }: { quote: LeaseQuote; signed: LeaseState["signedSentence"] }) {
  const write = useSentenceWriter(quote.deal.currency);
  return <Sentence segments={signed?.(write) ?? leaseSentence(quote, write)} ways={WAYS} />;
}
