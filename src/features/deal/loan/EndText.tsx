import type { LoanQuote } from "@/core";
import { loanEnding } from "@/exchange/kinds/loan/words/ending";
import type { SentenceWriter } from "@/exchange/kinds/kind/segment";

/** What a sentence ends with where payments are left out, change, or end before their time. */
export const EndText = ({ quote, write }: { quote: LoanQuote; write: SentenceWriter }) =>
  loanEnding(quote, write);
