import type { Matched } from "@/core/match";
import type { WordsOf } from "@/exchange/match/departure-words";
import { impliedWords, matchSentence, triedWords } from "@/exchange/match/match-words";
import { inNotation, type Notation } from "@/exchange/notation";

type Props = {
  matched: Matched;
  of: WordsOf;
  notation: Notation;
  isWhole: boolean;
  /** Whether it is of what stood before. */
  isOld: boolean;
  ms: number;
  /** What of a way can be done with it, in buttons. */
  children?: React.ReactNode;
};

/** Where the figures come from, in one sentence, with what was tried for it. */
export function MatchSentence({ matched, of, notation, isWhole, isOld, ms, children }: Props) {
  const say = (text: string) => inNotation(text, notation);
  const isOpen = !isWhole && matched.ways.length === 0;
  const spans = isOpen ? ["Looking for where their figures come from …"] : matchSentence(matched, of);
  const implied = impliedWords(matched, matched.usual.figures.amountFinanced, of);
  return (
    <div className="px-5 pt-4 pb-3">
      <p role="status" className="font-serif text-2xl leading-snug" data-testid="match-sentence">
        {spans.map((span, index) =>
          typeof span === "string" ? (
            // biome-ignore lint/suspicious/noArrayIndexKey: a piece of a sentence has no other identity than its place
            <span key={index}>{say(span)}</span>
          ) : (
            <strong
              // biome-ignore lint/suspicious/noArrayIndexKey: the same
              key={index}
              className="border-primary border-b border-dotted"
            >
              {say(span.text)}
            </strong>
          ),
        )}
      </p>
      {isWhole && matched.ways.length === 0 && implied && <p className="mt-1">{say(implied)}</p>}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {/* What is not whole, or of what stood before, is neither kept nor taken. */}
        <fieldset disabled={!isWhole || isOld} className="contents">
          {children}
        </fieldset>
        <span className="ml-auto text-faint text-sm" data-testid="match-tried">
          {isWhole
            ? say(triedWords(matched, ms))
            : `${matched.tried.toLocaleString("en-US")} ways tried so far …`}
        </span>
      </div>
    </div>
  );
}
