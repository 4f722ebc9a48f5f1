import { useId, useState } from "react";
import { currencyDecimals, formatAmount, parseAmount } from "@/core";
import { amountIn, inNotation } from "@/exchange/notation";
import { typedAmountText } from "@/exchange/text";
import { TypedFigure } from "@/features/typing/TypedFigure";
import type { Read } from "@/features/typing/use-typed";
import { readTypedAmount } from "../fields/typed-amount";
import { shownTally } from "../option";
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
  const put = (next: string | undefined) => dispatch({ type: "heading", change: { budget: next } });
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
        put={put}
      />
      <BudgetSlip onTake={put} />
    </span>
  );
}

/** A budget a month above the price is one without its decimal sign, or no budget a month. */
function BudgetSlip({ onTake }: { onTake: (budget: string) => void }) {
  const { state } = useDesk();
  const { notation } = useNotation();
  const [settled, setSettled] = useState<number>();
  const budget = useBudget();
  const option = openedOption(state);
  const { currency } = option.inputs;
  const { price } = shownTally(option).reckoned ?? {};
  if (budget === undefined || price === undefined || budget <= price || budget === settled) return null;
  const money = (minor: number) => amountIn(minor, currency, notation);
  const meant = Math.round(budget / 100);
  return (
    <span className="flex flex-wrap items-center gap-x-2 font-sans text-sm text-warning" role="status">
      That is above the price of {money(price)}, each month.
      {meant <= price && (
        <button
          type="button"
          className="btn btn-xs"
          onClick={() => onTake(formatAmount(meant, currencyDecimals(currency) ?? 2))}
        >
          {money(meant)}?
        </button>
      )}
      <button type="button" className="btn btn-ghost btn-xs" onClick={() => setSettled(budget)}>
        it is right
      </button>
    </span>
  );
}
