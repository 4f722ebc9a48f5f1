import { Target } from "lucide-react";
import { useEffect, useId, useState } from "react";
import { currencyDecimals, incomeThatEarns, parseAmount, type WantedIncome } from "@/core";
import { amountIn, decimalIn, inNotation } from "@/exchange/notation";
import { inputsMoved } from "../bargain/inputs-moved";
import { useDesk } from "../desk/desk-context";
import { readTypedAmount } from "../fields/typed-amount";
import { askedOf } from "../kinds/asked";
import { payingInputs } from "../map/paying-inputs";
import { useIsFrozen, useNotation, useOption } from "../option/option-context";
import { withInputsOf } from "../options/option-changes";
import { useOptionActions } from "../options/use-options";
import type { Earning } from "./use-income";

/** Each key is answered once typing rests so long: a search makes some twenty repayment tables. */
const RESTS_AFTER_MS = 120;

type Found = ReturnType<typeof incomeThatEarns>;

/** What is to be earned, and the rate or the price that earns it; Enter takes it into the deal. */
export function EarnsIt({ earning }: { earning: Earning }) {
  const { option } = useOption();
  const { notation } = useNotation();
  const { state, edit } = useDesk();
  const { addAfter } = useOptionActions();
  const isFrozen = useIsFrozen();
  const [of, setOf] = useState<WantedIncome["of"]>("reserve");
  const [find, setFind] = useState<WantedIncome["find"]>("rate");
  const [text, setText] = useState("");
  const [answer, setAnswer] = useState<{ of: object; found: Found } | null>(null);
  const id = useId();
  const { quote, side, place } = earning;
  const { currency } = quote.filled;
  const read = text.trim() === "" ? null : readTypedAmount(text, currency, notation);
  const amount =
    read && "amount" in read ? parseAmount(read.amount ?? "", currencyDecimals(currency) ?? 2) : undefined;
  const problem = read && "sentence" in read ? read.sentence : null;
  useEffect(() => {
    if (amount === undefined) return setAnswer(null);
    const timer = setTimeout(
      () => setAnswer({ of: earning, found: incomeThatEarns(quote, side, { of, amount, find }, place) }),
      RESTS_AFTER_MS,
    );
    return () => clearTimeout(timer);
  }, [earning, quote, side, place, of, find, amount]);
  const rateFigure = askedOf(quote.filled).rateFigure(quote.filled.plan);
  const found = answer?.of === earning && answer.found.ok ? answer.found.value : null;
  const take = (asOption: boolean) => {
    if (!found || isFrozen) return;
    const figure = find === "price" ? "price" : rateFigure;
    const value = find === "price" ? Number(found.figure) : found.figure;
    const inputs = inputsMoved(payingInputs(option), { figure }, value);
    if (asOption) addAfter(state.open, [inputs]);
    else edit(withInputsOf(state.open, inputs));
    setText("");
  };
  const sentence = problem ?? (answer && !answer.found.ok ? answer.found.failure.sentence : null);
  return (
    <div className="text-sm">
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        <Target size={20} aria-hidden="true" />
        <label htmlFor={id}>Make</label>
        <select
          aria-label="What is to be earned"
          className="choice-in-words"
          value={of}
          onChange={({ target }) => setOf(target.value as WantedIncome["of"])}
        >
          <option value="reserve">the reserve</option>
          <option value="total">all that is earned</option>
        </select>
        <input
          id={id}
          aria-label="To be earned"
          // What was taken is undone like any change of the deal.
          data-own-undo={text === "" ? undefined : true}
          className="field w-28 text-right"
          inputMode="decimal"
          autoComplete="off"
          value={text}
          aria-invalid={problem !== null}
          onChange={({ target }) => setText(target.value)}
          onKeyDown={({ key, shiftKey }) => {
            if (key === "Enter") take(shiftKey);
            if (key === "Escape") setText("");
          }}
        />
        <span>by the</span>
        <select
          aria-label="What is to make it so"
          className="choice-in-words"
          value={find}
          onChange={({ target }) => setFind(target.value as WantedIncome["find"])}
        >
          <option value="rate">{rateFigure === "moneyFactor" ? "money factor" : "rate"}</option>
          <option value="price">price</option>
        </select>
      </div>
      {found && <Earns {...{ found, of, find }} isFactor={rateFigure === "moneyFactor"} onTake={take} />}
      {sentence && (
        <p role="status" className="mt-1 text-error">
          {inNotation(sentence, notation)}
        </p>
      )}
    </div>
  );
}

type EarnsProps = Pick<WantedIncome, "of" | "find"> & {
  found: Extract<Found, { ok: true }>["value"];
  isFactor: boolean;
  onTake: (asOption: boolean) => void;
};

/** The figure that earns it, and the payment that follows. */
function Earns({ found, of, find, isFactor, onTake }: EarnsProps) {
  const { notation } = useNotation();
  const isFrozen = useIsFrozen();
  const { figure, quote, income } = found;
  const money = (minor: number) => amountIn(minor, quote.filled.currency, notation);
  const earned = of === "reserve" ? income.reserve?.amount : income.total;
  return (
    <p className="mt-1 flex flex-wrap items-center gap-x-2" role="status">
      takes{" "}
      <b className="rounded-field bg-accent px-2 py-0.5 text-accent-content text-base">
        {find === "price" ? money(Number(figure)) : `${decimalIn(figure, notation)}${isFactor ? "" : " %"}`}
      </b>
      payment {money(quote.payment)}, earns {money(earned ?? 0)}
      {!isFrozen && (
        <button
          type="button"
          title="Shift: as a new option"
          className="btn btn-sm"
          onClick={({ shiftKey }) => onTake(shiftKey)}
        >
          Take it
        </button>
      )}
    </p>
  );
}
