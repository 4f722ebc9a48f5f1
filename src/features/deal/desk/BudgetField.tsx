import { useId, useState } from "react";
import { currencyDecimals, parseAmount } from "@/core";
import { inNotation } from "@/exchange/notation";
import { typedAmountText } from "@/exchange/text";
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
  const [typed, setTyped] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const id = useId();
  const { currency } = openedOption(state).inputs;
  const { budget } = state.heading;
  const shown = budget === undefined ? "" : inNotation(typedAmountText(budget, currency), notation);
  const type = (text: string) => {
    setTyped(text);
    if (text.trim() === "") {
      setError(null);
      dispatch({ type: "heading", change: { budget: undefined } });
      return;
    }
    const read = readTypedAmount(text, currency, notation);
    setError("sentence" in read ? inNotation(read.sentence, notation) : null);
    if ("amount" in read) dispatch({ type: "heading", change: { budget: read.amount } });
  };
  return (
    <span className="inline-flex flex-wrap items-center gap-x-2">
      <label htmlFor={id} className={hideLabel ? "sr-only" : "text-faint text-sm"}>
        {label}
      </label>
      <input
        id={id}
        className="field w-28 text-right font-sans text-base"
        inputMode="decimal"
        autoComplete="off"
        placeholder="–"
        value={typed ?? shown}
        aria-invalid={error !== null}
        aria-describedby={error === null ? undefined : `${id}-error`}
        onChange={event => type(event.target.value)}
        onBlur={() => error === null && setTyped(null)}
      />
      {error !== null && (
        <span id={`${id}-error`} className="font-sans text-error text-sm">
          {error}
        </span>
      )}
    </span>
  );
}
