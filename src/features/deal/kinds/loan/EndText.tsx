import type { LoanQuote } from "@/core";
import type { SentenceWriter } from "@/exchange/kinds/kind/segment";
import { loanEnding } from "@/exchange/kinds/loan/words/ending";

/** What a sentence ends with where payments are left out, change, or end before their time. */
export const EndText = ({ quote, write }: { quote: LoanQuote; write: SentenceWriter }) =>
  loanEnding(quote, write);
