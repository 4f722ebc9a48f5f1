import { useId } from "react";
import { currencyDecimals, parseAmount } from "@/core";
import { inNotation } from "@/exchange/notation";
import { typedAmountText } from "@/exchange/text";
import { TypedFigure } from "@/features/typing/TypedFigure";
import type { Read } from "@/features/typing/use-typed";
import { readTypedAmount } from "../fields/typed-amount";
import { useNotation } from "../option/option-context";
import { useDesk } from "./desk-context";
import { openedOption } from "./desk-state";

/** What the customer can pay a month, in minor units; undefined where it was not said. */
export function useBudget(): number | undefined {
  const { state } = useDesk();
  const { currency } = openedOption(state).inputs;
  const { budget } = state.heading;
  return budget === undefined ? undefined : parseAmount(budget, currencyDecimals(currency) ?? 2);
}

/** What the customer can pay a month; it belongs to the deal. */
export function BudgetField({ label, hideLabel = false }: { label: string; hideLabel?: boolean }) {
  const { state, dispatch } = useDesk();
  const { notation } = useNotation();
  const id = useId();
  const { currency } = openedOption(state).inputs;
  const { budget } = state.heading;
  const read = (text: string): Read<string | undefined> => {
    if (text.trim() === "") return { value: undefined };
    const amount = readTypedAmount(text, currency, notation, budget && typedAmountText(budget, currency));
    return "amount" in amount ? { value: amount.amount } : amount;
  };
  return (
    <span className="inline-flex flex-wrap items-center gap-x-2">
      <label htmlFor={id} className={hideLabel ? "sr-only" : "text-faint text-sm"}>
        {label}
      </label>
      <TypedFigure
        id={id}
        className="w-28 font-sans text-base"
        placeholder="–"
        shown={budget === undefined ? "" : inNotation(typedAmountText(budget, currency), notation)}
        value={budget}
        notation={notation}
        read={read}
        put={next => dispatch({ type: "heading", change: { budget: next } })}
      />
    </span>
  );
}
