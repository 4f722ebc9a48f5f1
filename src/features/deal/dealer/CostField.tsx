import { useId, useState } from "react";
import { currencyDecimals, parseAmount } from "@/core";
import { amountIn, inNotation, type Notation } from "@/exchange/notation";
import { readTypedAmount } from "../fields/typed-amount";

type Props = {
  label: string;
  /** As it is kept; undefined where nothing is known. */
  amount: string | number | undefined;
  currency: string;
  notation: Notation;
  /** The amount that was typed; undefined where nothing is any more. */
  onChange: (amount: string | undefined) => void;
};

/** An amount that the dealer alone sees; what cannot be read changes nothing. */
export function CostField({ label, amount, currency, notation, onChange }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const id = useId();
  const decimals = currencyDecimals(currency) ?? 2;
  const minor = amount === undefined ? undefined : parseAmount(String(amount), decimals);
  const shown = minor === undefined ? "" : amountIn(minor, currency, notation);
  const read = typed === null || typed.trim() === "" ? null : readTypedAmount(typed, currency, notation);
  const problem = read && "sentence" in read ? inNotation(read.sentence, notation) : null;
  return (
    <div>
      <input
        className="field text-right"
        inputMode="decimal"
        aria-label={label}
        aria-invalid={problem !== null}
        aria-describedby={problem ? id : undefined}
        value={typed ?? shown}
        onChange={({ target }) => {
          setTyped(target.value);
          const next = target.value.trim() === "" ? null : readTypedAmount(target.value, currency, notation);
          if (next === null) onChange(undefined);
          else if ("amount" in next) onChange(next.amount);
        }}
        onBlur={() => problem === null && setTyped(null)}
        onKeyDown={({ key }) => key === "Escape" && setTyped(null)}
      />
      {problem && (
        <p id={id} role="alert" className="mt-0.5 text-error text-sm">
          {problem}
        </p>
      )}
    </div>
  );
}
