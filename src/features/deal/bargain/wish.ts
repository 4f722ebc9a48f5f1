import { currencyDecimals, formatAmount, parseAmount, parseIsoDate } from "@/core";
import type { Wanted, WantedFigure } from "@/core/moves";
import { plainDate } from "@/exchange/notation";
import { readEndDate } from "../fields/date-text";
import { NO_DATE } from "../fields/shown-date";
import { readTypedAmount } from "../fields/typed-amount";
import { notationIn, type OptionState, shownQuote } from "../option";

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
    const date = readEndDate(plainDate(typed, notation), option.inputs);
    const value = date === undefined ? undefined : parseIsoDate(date);
    return value === undefined ? { sentence: NO_DATE } : { wanted: { figure, value } };
  }
  const { currency } = option.inputs;
  const read = readTypedAmount(typed, currency, notation, standsAt(option, figure));
  return "amount" in read
    ? {
        wanted: {
          figure,
          value: parseAmount(read.amount, currencyDecimals(currency) ?? 2) ?? 0,
        },
      }
    : { sentence: read.sentence };
}

/** The figure as it is now, which "-50" is from. */
function standsAt(option: OptionState, figure: WantedFigure): string | undefined {
  const quote = shownQuote(option);
  if (!quote) return undefined;
  const minor =
    figure === "dueAtSigning"
      ? quote.dueAtSigning.total
      : (quote as unknown as Record<string, number | undefined>)[figure];
  return minor === undefined ? undefined : formatAmount(minor, quote.decimals);
}
