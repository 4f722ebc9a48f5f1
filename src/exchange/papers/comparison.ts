import type { Quote } from "@/core";
import { type Matched, type MatchWay, matchFigures, type Stated } from "@/core/match";
import { comparedRows } from "../match/compared-rows";
import type { WordsOf } from "../match/departure-words";
import type { StatedFile } from "../match/match.schema";
import { impliedWords, matchSentence, othersWords, triedWords, wayWords } from "../match/match-words";
import { mattersWords } from "../match/matters-words";
import { readStated } from "../match/read-stated";
import { rowsWords } from "../match/rows-words";
import { workingWords } from "../match/working-words";
import { inNotation } from "../notation";
import type { Block, Paper, PaperRow, Span } from "../paper-parts/paper";
import { capital } from "../text";
import { type About, type AnsweredOption, paperOf } from "./about";
import type { Made } from "./made";

/**
 * Another's figures beside the deal's, with where the difference comes from.
 *
 * @param option whose figures they are held against
 * @param about whose paper it is, and for whom
 * @param theirs what another says of it; none where nothing was typed
 */
export function comparison(
  { quote }: AnsweredOption,
  about: About,
  theirs: StatedFile | undefined,
): Made<{ paper: Paper }> {
  if (!theirs)
    return {
      ok: false,
      sentence:
        "No figures of another were typed on this option; type them where a lender’s figures are matched.",
    };
  const stated = readStated(theirs, quote.filled.currency);
  if (!stated.ok) return { ok: false, sentence: stated.failure.sentence };
  const matched = matchFigures({ quote, stated: stated.value, place: about.place });
  if (!matched.ok) return { ok: false, sentence: matched.failure.sentence };
  return {
    ok: true,
    paper: paperOf("Comparison", about, blocksOf(matched.value, stated.value, quote, about)),
  };
}

function blocksOf(matched: Matched, stated: Stated, quote: Quote, { notation }: About): Block[] {
  const of: WordsOf = { currency: quote.filled.currency, isLease: quote.kind === "lease" };
  const say = (text: string) => inNotation(text, notation);
  const way = matched.ways[0] ?? matched.nearest[0] ?? matched.usual;
  const isFit = matched.ways.length > 0;
  const law = mattersWords(matched.matters, of.currency).map(
    ({ says, law: rule }) => `${say(says)} (${rule})`,
  );
  const small = [
    isFit ? "" : impliedWords(matched, matched.usual.figures.amountFinanced, of),
    stated.table ? rowsWords(way, stated.table.length, of.currency, quote.decimals) : "",
    ...othersWords(matched, of).map(other =>
      matched.stated === 1 ? `${capital(other)}: gives it.` : `${capital(other)}: gives them as well.`,
    ),
    triedWords(matched),
  ].filter(Boolean);
  return [
    { kind: "paragraph", size: "large", spans: sentenceSpans(matched, of, say) },
    {
      kind: "table",
      name: "Figure by figure",
      headings: ["", "They say", isFit ? "This way" : "The nearest way", "Here", "Difference"],
      words: 1,
      rows: comparedRows(matched, way, stated, { quote, notation }).map(
        ({ name, stated: said, way: own, usual, usualOff }): PaperRow => ({
          kind: "line",
          cells: [name, said, own, usual, usualOff],
        }),
      ),
    },
    { kind: "paragraph", spans: [say(workingWords(matched, way, quote))] },
    ...(isFit ? [] : [nearBlock(matched, of, say)]),
    ...[...law, ...small.map(say)].map(
      (text): Block => ({ kind: "paragraph", size: "small", spans: [text] }),
    ),
  ];
}

function sentenceSpans(matched: Matched, of: WordsOf, say: (text: string) => string): Span[] {
  return matchSentence(matched, of).map(span =>
    typeof span === "string" ? say(span) : { strong: say(span.text) },
  );
}

function nearBlock({ nearest }: Matched, of: WordsOf, say: (text: string) => string): Block {
  const facts = nearest.map((way: MatchWay, index): readonly [string, string] => [
    `${index + 1}.`,
    say(capital(wayWords(way, of))),
  ]);
  return { kind: "facts", facts: [["What comes near", ""], ...facts] };
}
