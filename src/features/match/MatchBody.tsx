import { type ReactNode, useMemo } from "react";
import type { Deal, Quote } from "@/core";
import { countStated, type Matched, type MatchWay, type Stated } from "@/core/match";
import { comparedRows } from "@/exchange/match/compared-rows";
import type { WordsOf } from "@/exchange/match/departure-words";
import type { StatedFile } from "@/exchange/match/match.schema";
import { othersWords } from "@/exchange/match/match-words";
import { mattersWords } from "@/exchange/match/matters-words";
import { readStated } from "@/exchange/match/read-stated";
import { rowsWords } from "@/exchange/match/rows-words";
import { inNotation, type Notation } from "@/exchange/notation";
import type { MatchQuestion } from "@/workers/match-worker";
import { ComparedTable } from "./ComparedTable";
import { MatchSentence } from "./MatchSentence";
import { NearTable } from "./NearTable";
import { TheirFigures } from "./TheirFigures";
import { useMatch } from "./use-match";

/** What was found of a deal whose answer is there. */
export type Told = { matched: Matched; way: MatchWay; stated: Stated; quote: Quote; of: WordsOf };

type Props = {
  /** The loan or lease, every figure given; null while it has no answer, with the reason. */
  deal: Deal | null;
  why: string;
  stated: StatedFile;
  change: (change: (now: StatedFile) => StatedFile, key: string) => void;
  notation: Notation;
  currency: string;
  isLease: boolean;
  place: string | undefined;
  /** What is known of the loan or lease, above what they say. */
  children: ReactNode;
  /** What can be done with what was found. */
  actions: (told: Told) => ReactNode;
};

/** Their figures to the left; to the right where they come from. */
export function MatchBody(props: Props) {
  const { deal, why, stated, change, notation, currency, isLease, place, children, actions } = props;
  const dealKey = JSON.stringify(deal);
  const statedKey = JSON.stringify(stated);
  // biome-ignore lint/correctness/useExhaustiveDependencies: both are compared by what they hold
  const asked = useMemo(() => {
    const read = readStated(stated, currency);
    if (!read.ok) return { sentence: read.failure.sentence, question: null };
    if (!deal || countStated(read.value) === 0) return { sentence: undefined, question: null };
    const question: MatchQuestion = { deal, stated: read.value, place };
    return { sentence: undefined, question };
  }, [dealKey, statedKey, currency, place]);
  const found = useMatch(asked.question);
  const answer = found?.answer;
  const sentence =
    asked.sentence ?? (answer && !answer.result.ok ? answer.result.failure.sentence : undefined);
  const isOld = found !== null && found.question !== asked.question;
  return (
    <div className="grid min-h-0 flex-1 items-start gap-3 lg:grid-cols-[25rem_minmax(0,1fr)]">
      <div className="card-paper min-w-0 lg:max-h-full lg:overflow-auto">
        {children}
        <TheirFigures stated={stated} notation={notation} isLease={isLease} change={change} />
      </div>
      <div
        className={`grid min-w-0 gap-3 max-lg:order-[-1] lg:max-h-full lg:overflow-auto ${isOld ? "opacity-70" : ""}`}
      >
        {!deal && <Said text={inNotation(why, notation)} isWrong />}
        {sentence !== undefined && <Said text={inNotation(sentence, notation)} isWrong />}
        {deal && !asked.question && sentence === undefined && (
          <Said text="Type what they say, one figure or more, or paste their table: where it comes from stands here." />
        )}
        {found && answer?.result.ok && answer.quote && (
          <Answer
            matched={answer.result.value}
            quote={answer.quote}
            stated={found.question.stated}
            isWhole={answer.isWhole}
            isOld={isOld}
            ms={answer.ms}
            notation={notation}
            actions={actions}
          />
        )}
      </div>
    </div>
  );
}

function Said({ text, isWrong = false }: { text: string; isWrong?: boolean }) {
  return (
    <p role="status" className={`card-paper px-5 py-4 ${isWrong ? "text-error" : "text-faint"}`}>
      {text}
    </p>
  );
}

type AnswerProps = Pick<Props, "notation" | "actions"> & {
  matched: Matched;
  quote: Quote;
  stated: Stated;
  isWhole: boolean;
  isOld: boolean;
  ms: number;
};

function Answer({ matched, quote, stated, isWhole, isOld, ms, notation, actions }: AnswerProps) {
  const of: WordsOf = { currency: quote.filled.currency, isLease: quote.kind === "lease" };
  const say = (text: string) => inNotation(text, notation);
  const way = matched.ways[0] ?? matched.nearest[0] ?? matched.usual;
  const others = othersWords(matched, of);
  const law = mattersWords(matched.matters, of.currency);
  const isFit = matched.ways.length > 0;
  const rows = stated.table ? rowsWords(way, stated.table.length, of.currency, quote.decimals) : "";
  return (
    <>
      <section aria-label="Where it comes from" className="card-paper">
        <MatchSentence matched={matched} of={of} notation={notation} isWhole={isWhole} isOld={isOld} ms={ms}>
          {actions({ matched, way, stated, quote, of })}
        </MatchSentence>
        {law.map(({ says, law: rule }) => (
          <p key={rule} className="px-5 pb-2 text-sm">
            {say(says)} <span className="text-faint">({rule})</span>
          </p>
        ))}
      </section>
      <section aria-label="Figure by figure" className="card-paper overflow-hidden">
        <ComparedTable
          rows={comparedRows(matched, way, stated, { quote, notation })}
          title={isFit ? (matched.stated === 1 ? "the likeliest" : "this way") : "the nearest"}
        />
        {rows && (
          <p className="border-base-300 border-t px-3 py-1.5" data-testid="match-rows">
            {say(rows)}
          </p>
        )}
      </section>
      {others.length > 0 && (
        <section aria-label="Other ways" className="card-paper px-5 py-3">
          <h2 className="font-semibold">
            {matched.stated === 1 ? "These give it, the likeliest first" : "These give them as well"}
          </h2>
          <ul className="mt-1 list-disc pl-5">
            {others.map(each => (
              <li key={each}>{say(each)}</li>
            ))}
          </ul>
        </section>
      )}
      <section aria-label="What comes near" className="card-paper overflow-hidden">
        <NearTable matched={matched} stated={stated} quote={quote} of={of} notation={notation} />
      </section>
    </>
  );
}
