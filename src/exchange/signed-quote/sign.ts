import { evaluate } from "@/core";
import { type DealFile, readDeal } from "../deal-file";
import { fileKindOf } from "../kinds";
import { noAnswer } from "./no-answer";
import type { SignedQuote } from "./signed-quote.schema";

/** What an option is signed with: its answer as it stands today. */
export function signQuote(optionId: string, inputs: DealFile): SignedQuote {
  const deal = readDeal(inputs);
  const quote = deal.ok ? evaluate(deal.value) : deal;
  return quote.ok
    ? fileKindOf(inputs).record(optionId, quote.value)
    : noAnswer(optionId, quote.failure.sentence);
}
