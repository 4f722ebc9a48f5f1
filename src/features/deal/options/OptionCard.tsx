import { Pencil, Star } from "lucide-react";
import { type KeyboardEvent, memo, useEffect, useRef, useState } from "react";
import { amountIn, inNotation } from "@/exchange/notation";
import { deskOf, isStale, notationIn, type OptionState, shownQuote } from "../option";
import { useIsFrozen } from "../option/option-context";
import { NameOfOption } from "./NameOfOption";
import type { CalledOption, OptionActions } from "./use-options";

const RENAME = <Pencil size={13} aria-hidden="true" />;

type Props = CalledOption & {
  /** From 1. */
  number: number;
  /** Whether an option that is being dragged would go before it. */
  isTarget: boolean;
  actions: OptionActions;
  /** After it was moved by so many places. */
  onMoved: (id: string, by: number) => void;
};

/** One option: its name, its payment, what it costs. Alt and an arrow move it. */
export const OptionCard = memo(function OptionCard(props: Props) {
  const { id, name, called, isOpen, isChosen, state, number, isTarget, actions, onMoved } = props;
  const isFrozen = useIsFrozen();
  const [isNaming, setNaming] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const quote = shownQuote(state);
  const money = (minor: number) => amountIn(minor, state.inputs.currency, notationIn(state));
  useEffect(() => {
    if (isOpen) button.current?.scrollIntoView({ block: "nearest", inline: "nearest" });
  }, [isOpen]);
  const arrow = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (!by || !event.altKey) return;
    event.preventDefault();
    actions.moveBy(id, by);
    onMoved(id, by);
  };
  const stopNaming = () => {
    setNaming(false);
    button.current?.focus();
  };
  return (
    <li
      data-option={id}
      className={`card-paper relative flex h-[3.55rem] min-w-60 max-w-96 flex-1 [contain:size_layout] items-center ${isOpen ? "border-primary! shadow-[inset_0_-3px_0_var(--color-primary)]" : ""} ${isTarget ? "outline-2 outline-found" : ""}`}
    >
      {isNaming ? (
        <NameOfOption
          name={name}
          proposed={called}
          onDone={typed => {
            if (typed !== undefined) actions.rename(id, typed);
            stopNaming();
          }}
        />
      ) : (
        <>
          <button
            ref={button}
            type="button"
            aria-current={isOpen ? "true" : undefined}
            className="flex min-w-0 flex-1 cursor-pointer items-center gap-2.5 rounded-box py-1.5 pr-2 pl-2.5 text-left"
            onClick={() => actions.select(id)}
            onKeyDown={arrow}
          >
            <span
              className={`grid size-6 shrink-0 place-items-center rounded-full border text-xs ${isOpen ? "border-primary bg-primary text-primary-content" : "border-faint text-faint"}`}
            >
              {number}
            </span>
            <span className="min-w-0 flex-1">
              <span className="block truncate font-semibold leading-tight" title={called}>
                {called}
              </span>
              <span className="flex items-baseline gap-1.5">
                {isChosen && (
                  <span className="flex shrink-0 items-center gap-0.5 font-semibold text-success text-xs">
                    <Star size={11} aria-hidden="true" className="fill-current" /> chosen
                  </span>
                )}
                <span className="min-w-0 grow truncate text-faint text-xs">
                  {inNotation(setsApart(state), notationIn(state))}
                </span>
                <span
                  className={`shrink-0 font-semibold font-serif text-lg leading-tight ${isStale(state) ? "stale" : ""}`}
                >
                  {quote ? money(quote.payment) : <span className="text-faint text-sm">no answer</span>}
                </span>
              </span>
            </span>
          </button>
          {!isFrozen && (
            <button
              type="button"
              className="mr-1 grid size-6 shrink-0 cursor-pointer place-items-center rounded-field text-faint hover:bg-base-200"
              aria-label={`Rename “${called}”`}
              title="Rename it"
              onClick={() => setNaming(true)}
            >
              {RENAME}
            </button>
          )}
        </>
      )}
    </li>
  );
});

/** The rate and what it costs, or why there is no answer. */
function setsApart(state: OptionState): string {
  if (!state.answer.ok) return state.answer.failure.sentence;
  const { currency } = state.inputs;
  return deskOf(state).setsApart(state.answer.value, minor => amountIn(minor, currency, notationIn(state)));
}
