import { currencyDecimals, formatAmount, parseAmount } from "@/core";
import { amountIn, type Notation } from "@/exchange/notation";
import { typedAmountText } from "@/exchange/text";
import { TypedFigure } from "@/features/typing/TypedFigure";
import type { Read } from "@/features/typing/use-typed";
import { readTypedAmount } from "../fields/typed-amount";

type Props = {
  label: string;
  /** As it is kept; undefined where none is. */
  amount: string | number | undefined;
  currency: string;
  notation: Notation;
  /** The amount that was typed; undefined where nothing is. */
  put: (amount: string | undefined) => void;
  className?: string;
  placeholder?: string;
};

/** An amount of what is tried; what cannot be read changes nothing. */
export function AmountField({ label, amount, currency, notation, put, className, placeholder }: Props) {
  const decimals = currencyDecimals(currency) ?? 2;
  const minor = amount === undefined ? undefined : parseAmount(String(amount), decimals);
  const read = (text: string): Read<string | undefined> => {
    if (text.trim() === "") return { value: undefined };
    const base = amount === undefined ? undefined : typedAmountText(amount, currency);
    const typed = readTypedAmount(text, currency, notation, base);
    return "amount" in typed ? { value: typed.amount } : typed;
  };
  return (
    <TypedFigure
      label={label}
      className={className ?? "w-28"}
      placeholder={placeholder ?? "–"}
      shown={minor === undefined ? "" : amountIn(minor, currency, notation)}
      value={amount === undefined ? undefined : formatAmount(minor ?? 0, decimals)}
      notation={notation}
      read={read}
      put={put}
    />
  );
}
