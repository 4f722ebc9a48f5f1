// What was signed keeps its sentence: read again, in the writing of any place, it says what it said then.
import fc from "fast-check";
import { evaluate } from "@/core";
import { readDeal } from "@/exchange/deal-file";
import { writtenAnew } from "@/exchange/kinds/kind/kept-sentence";
import { plainSentence, type SentenceWriter } from "@/exchange/kinds/kind/segment";
import { leaseSentence } from "@/exchange/kinds/lease/words/sentence";
import { loanEnding } from "@/exchange/kinds/loan/words/ending";
import { loanSentence } from "@/exchange/kinds/loan/words/sentence";
import { inNotation, LOCALES, longDateIn, notationOf } from "@/exchange/notation";
import { moneyText } from "@/exchange/notation/money-text";
import { readSignedQuote, signQuote } from "@/exchange/signed-quote";
import { leases } from "../../core/random-leases";
import { structures } from "../../core/random-structures";
import { runs } from "../../runs";

const RUNS = runs(150);
const OPTION = "11111111-1111-4111-8111-111111111111";

test(`the sentences of ${RUNS} random signed deals say the same in every place when they are read again`, () => {
  let seen = 0;
  fc.assert(
    fc.property(fc.oneof(structures, leases), fc.constantFrom(...LOCALES), (inputs, locale) => {
      const notation = notationOf(locale);
      const deal = readDeal(inputs);
      const answer = deal.ok ? evaluate(deal.value) : deal;
      if (!answer.ok) return;
      const quote = answer.value;
      const write: SentenceWriter = {
        money: minor => moneyText(minor, inputs.currency, notation),
        date: day => longDateIn(day, notation),
        say: text => inNotation(text, notation),
      };
      const said =
        quote.kind === "lease"
          ? plainSentence(leaseSentence(quote, write))
          : [plainSentence(loanSentence(quote, write)), loanEnding(quote, write)].filter(Boolean).join(" ");
      const signed = readSignedQuote(JSON.parse(JSON.stringify(signQuote(OPTION, inputs))));
      if (!signed.ok || signed.value.kind === "none") throw new Error("It was signed with an answer.");
      expect(plainSentence(writtenAnew(signed.value.words.sentence ?? [], write))).toBe(said);
      seen += 1;
    }),
    { numRuns: RUNS, seed: 28 },
  );
  expect(seen).toBeGreaterThan(RUNS / 2);
});
