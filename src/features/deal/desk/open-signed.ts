import { failure, success } from "@/core";
import type { DealDocument } from "@/exchange/deal-document";
import type { Locale } from "@/exchange/notation";
import type { SignedQuote } from "@/exchange/signed-quote";
import { leaseOfRecord } from "@/exchange/signed-quote/lease-record";
import { loanOfRecord } from "@/exchange/signed-quote/loan-record";
import type { OptionState } from "../option";
import { type DeskState, openDesk } from "./desk-state";

/** A signed deal as it opens: each option with the answer that was signed, whatever this core would compute. */
export function openSigned(
  document: DealDocument,
  houseLocale: Locale,
  quotes: readonly SignedQuote[],
): DeskState {
  const desk = openDesk(document, houseLocale);
  const options = desk.options.map(option => {
    const signed = quotes.find(({ optionId }) => optionId === option.id);
    return signed ? { ...option, state: withSigned(option.state, signed) } : option;
  });
  return { ...desk, options };
}

function withSigned(state: OptionState, signed: SignedQuote): OptionState {
  if (signed.kind === "none") return withoutAnswer(state, signed.words.sentence);
  if (!state.deal.ok) return withoutAnswer(state, state.deal.failure.sentence);
  if (state.kind === "loan" && signed.kind === "loan") {
    const quote = loanOfRecord(signed, state.deal.value);
    return { ...state, answer: success(quote), lastGood: quote };
  }
  if (state.kind === "lease" && signed.kind === "lease") {
    const quote = leaseOfRecord(signed, state.deal.value);
    return { ...state, answer: success(quote), lastGood: quote };
  }
  return withoutAnswer(state, `It was signed as a ${signed.kind} and is a ${state.kind}.`);
}

const withoutAnswer = (state: OptionState, sentence: string): OptionState => ({
  ...state,
  answer: failure("payment", sentence),
  lastGood: null,
});
