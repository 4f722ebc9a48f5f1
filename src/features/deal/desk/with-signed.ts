import { failure, success } from "@/core";
import { writtenAnew } from "@/exchange/kinds/kind/kept-sentence";
import type { SentenceWriter } from "@/exchange/kinds/kind/segment";
import type { SignedQuote } from "@/exchange/signed-quote";
import { quoteOfRecord } from "@/exchange/signed-quote/quote-of-record";
import type { OptionState } from "../option";
import type { DeskState } from "./desk-state";

/** The desk of a signed deal: each option with the answer that was signed, whatever this core would compute. */
export function withSigned(desk: DeskState, quotes: readonly SignedQuote[]): DeskState {
  const options = desk.options.map(option => {
    const signed = quotes.find(({ optionId }) => optionId === option.id);
    return signed ? { ...option, state: signedState(option.state, signed) } : option;
  });
  return { ...desk, options };
}

function signedState(state: OptionState, signed: SignedQuote): OptionState {
  if (signed.kind === "none") return withoutAnswer(state, signed.words.sentence);
  if (!state.deal.ok) return withoutAnswer(state, state.deal.failure.sentence);
  if (state.kind !== signed.kind)
    return withoutAnswer(state, `It was signed as a ${signed.kind} and is a ${state.kind}.`);
  const quote = quoteOfRecord(signed, state.deal.value);
  const { sentence } = signed.words;
  return {
    ...state,
    answer: success(quote),
    lastGood: quote,
    ...(sentence && { signedSentence: (write: SentenceWriter) => writtenAnew(sentence, write) }),
  } as OptionState;
}

const withoutAnswer = (state: OptionState, sentence: string): OptionState => ({
  ...state,
  answer: failure("payment", sentence),
  lastGood: null,
});
