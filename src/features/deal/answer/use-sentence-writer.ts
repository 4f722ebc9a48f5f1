import { useMemo } from "react";
import type { SentenceWriter } from "@/exchange/kinds/kind/segment";
import { longDateIn } from "@/exchange/notation";
import { moneyText } from "@/features/figures/format";
import { useNotation } from "../option/option-context";

/** How the deal's place writes what stands in a sentence. */
export function useSentenceWriter(currency: string): SentenceWriter {
  const { notation, say } = useNotation();
  return useMemo(
    () => ({
      money: minor => moneyText(minor, currency, notation),
      date: day => longDateIn(day, notation),
      say,
    }),
    [currency, notation, say],
  );
}
