import { currencyDecimals, type LeaseQuote, parseAmount, parseIsoDate, type Quote } from "@/core";
import type { Wanted, WantedFigure } from "@/core/moves";
import { plainDate, plainFigure } from "@/exchange/notation";
import { readAmount } from "../fields/amount-text";
import { NO_DATE, readTypedDate } from "../fields/date-text";
import { notationIn, type OptionState } from "../option";

/** The figures that can be wanted of a loan, as the screen names them. */
const WISHES_OF_LOAN: readonly (readonly [WantedFigure, string])[] = [
  ["payment", "payment"],
  ["totalCost", "total cost"],
  ["financeCharge", "finance charge"],
  ["dueAtSigning", "sum due at signing"],
  ["endDate", "end date"],
];

/** The same of a lease. */
const WISHES_OF_LEASE: readonly (readonly [WantedFigure, string])[] = [
  ["payment", "payment with tax"],
  ["basePayment", "payment before tax"],
  ["dueAtSigning", "sum due at signing"],
  ["totalIfReturned", "total if handed back"],
  ["totalIfBought", "total if bought"],
  ["endDate", "end date"],
];

/** What can be wanted of an option. */
export const wishesOf = ({ kind }: OptionState) => (kind === "lease" ? WISHES_OF_LEASE : WISHES_OF_LOAN);

/** A wanted figure as it was typed; nothing typed is no wish. */
export function readWish(
  option: OptionState,
  figure: WantedFigure,
  text: string,
): { wanted: Wanted } | { sentence: string } | null {
  const typed = text.trim();
  if (typed === "") return null;
  const notation = notationIn(option);
  if (figure === "endDate") {
    const date = readTypedDate(plainDate(typed, notation), option.inputs);
    const value = date === undefined ? undefined : parseIsoDate(date);
    return value === undefined ? { sentence: NO_DATE } : { wanted: { figure, value } };
  }
  const read = readAmount(plainFigure(typed, notation), option.inputs.currency);
  return "amount" in read
    ? {
        wanted: {
          figure,
          value: parseAmount(read.amount, currencyDecimals(option.inputs.currency) ?? 2) ?? 0,
        },
      }
    : { sentence: read.sentence };
}

/** The figure as it is now; null where the answer has none. */
export function standsAt(quote: Quote | LeaseQuote, figure: WantedFigure): number | null {
  if (figure === "endDate") return quote.finalDate;
  if (figure === "dueAtSigning") return quote.dueAtSigning.total;
  return (quote as unknown as Record<WantedFigure, number | undefined>)[figure] ?? null;
}
