import type { ReactNode } from "react";
import type { Figure } from "@/core";
import { moneyText } from "@/exchange/notation/money-text";
import { isStale, shownQuote } from "../option";
import { useIsFrozen, useNotation, useOption } from "../option/option-context";
import { Changeable } from "../parts/Changeable";

type Props = {
  /** Which figure is being found, from what, and the way to find another. */
  findBar: ReactNode;
  /** The sentence; shown while there is an answer, or a last one that held. */
  children: ReactNode;
};

/**
 * The answer in one plain sentence, made of live figures. On a narrow screen it comes first, and stays while the figures
 * under it are changed.
 */
export function SentenceCard({ findBar, children }: Props) {
  const { option } = useOption();
  const { say } = useNotation();
  const isFrozen = useIsFrozen();
  const quote = shownQuote(option);
  return (
    <section
      aria-label="The deal in a sentence"
      className="max-lg:contents lg:card-paper lg:shrink-0 lg:px-5 lg:py-2"
    >
      <div className="max-lg:card-paper max-lg:sticky max-lg:top-0 max-lg:z-20 max-lg:order-[-3] max-lg:max-h-[45dvh] max-lg:overflow-auto max-lg:px-4 max-lg:py-2 max-lg:shadow-md">
        <NoAnswer />
        {quote && (
          <Changeable>
            <p
              className={`font-serif text-[1.05rem] leading-snug lg:text-[1.25rem] lg:leading-[1.45] ${isStale(option) ? "stale" : ""}`}
              data-testid="sentence"
            >
              {children}
            </p>
          </Changeable>
        )}
        {quote?.note && option.answer.ok && <p className="mt-1 text-faint">{say(quote.note)}</p>}
      </div>
      {!isFrozen && (
        <div className="print:hidden max-lg:card-paper max-lg:order-[-2] max-lg:px-4 max-lg:py-2 lg:mt-1">
          {findBar}
        </div>
      )}
    </section>
  );
}

/** The figures that a press takes at what works, as its button calls them. */
const USED = { payment: "payment", down: "cash down" };
const isUsed = (figure: Figure): figure is keyof typeof USED => figure in USED;

/** Why there is no answer, and the nearest figure that has one. */
function NoAnswer() {
  const { option, act } = useOption();
  const { notation, say } = useNotation();
  const { answer, lastGood, inputs } = option;
  if (answer.ok) return null;
  const { sentence, nearest } = answer.failure;
  const used =
    nearest && isUsed(nearest.figure) ? { figure: nearest.figure, minor: nearest.minor } : undefined;
  return (
    <div
      role="alert"
      className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1 text-lg"
      data-testid="no-answer"
    >
      <span>
        {say(sentence)}{" "}
        {!lastGood && !nearest && <span className="text-faint">The answer appears here as you type.</span>}
        {lastGood && <span className="text-faint"> The last answer is grayed below.</span>}
      </span>
      {used && (
        <button
          type="button"
          className="btn btn-primary btn-sm"
          onClick={() => act({ type: "give", ...used })}
        >
          Use {USED[used.figure]} {moneyText(used.minor, inputs.currency, notation)}
        </button>
      )}
    </div>
  );
}
