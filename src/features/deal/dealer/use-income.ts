import { useMemo } from "react";
import { type DealerSide, type Income, income, NO_SIDE, type Quote } from "@/core";
import { type DealerOfOption, readSide } from "@/exchange/dealer";
import type { OptionState } from "../option";
import { shownQuote } from "../option";

/** What an option earns, and what it is reckoned from; null where the option has no answer. */
export type Earning = { quote: Quote; side: DealerSide; earned: Income; place: string | undefined };

/** What an option earns with what is known of it. */
export function earningOf(
  option: OptionState,
  known: DealerOfOption | undefined,
  place: string | undefined,
): Earning | null {
  const quote = shownQuote(option);
  if (!quote) return null;
  const read = readSide(option.inputs, known);
  const side = read.ok ? read.value : NO_SIDE;
  const earned = income(quote, side, place);
  return {
    quote,
    side,
    earned: read.ok ? earned : { ...earned, notes: [read.failure.sentence] },
    place,
  };
}

export const useIncome = (
  option: OptionState,
  known: DealerOfOption | undefined,
  place: string | undefined,
): Earning | null => useMemo(() => earningOf(option, known, place), [option, known, place]);
