import { createContext, useContext } from "react";
import { currencyDecimals, type Frequency, isoDate, parseIsoDate, periodsPerYear } from "@/core";
import { inNotation, type Notation, plainDate } from "@/exchange/notation";
import { readDate, typedAmountText } from "@/exchange/text";
import { type TypedKind, understood } from "@/exchange/typing";
import { localToday } from "@/features/figures/today";

/** In which currency and how figures are asked and answered. */
export type Place = { currency: string; notation: Notation };

export const PlaceContext = createContext<Place | null>(null);

export function usePlace(): Place & { say: (text: string) => string } {
  const place = useContext(PlaceContext);
  if (!place) throw new Error("usePlace needs a PlaceContext around it.");
  return { ...place, say: text => inNotation(text, place.notation) };
}

const NUMBER = /^\d+(\.\d+)?$/;

/** A figure as it is typed here, as a plain decimal; undefined where it is none. */
export function plainTyped(
  typed: string,
  kind: TypedKind,
  { currency, notation }: Place,
  frequency: Frequency = "monthly",
): string | undefined {
  const { plain } = understood(typed.trim(), {
    kind,
    notation,
    decimals: currencyDecimals(currency) ?? 2,
    perYear: periodsPerYear(frequency),
  });
  const [, years] = /^(\d+)\s*y(?:ears?)?$/i.exec(plain) ?? [];
  if (kind === "payments" && years !== undefined) return String(Number(years) * periodsPerYear(frequency));
  const digits = plain
    .replace(/\s*%$/, "")
    .replace(/(\d)[,\s](?=\d{3}(?!\d))/g, "$1")
    .replace(/^\./, "0.");
  return NUMBER.test(digits) ? digits : undefined;
}

/** An amount as it stands in a field. */
export const amountText = (plain: string, { currency, notation }: Place): string =>
  inNotation(typedAmountText(plain, currency), notation);

/** A date as it is typed here, as ISO 8601; undefined where it is none. */
export function plainDay(typed: string, { notation }: Place): string | undefined {
  const today = parseIsoDate(localToday()) ?? 0;
  const day = readDate(plainDate(typed.trim(), notation), { from: today, today, isAfter: false });
  return day === undefined ? undefined : isoDate(day);
}
