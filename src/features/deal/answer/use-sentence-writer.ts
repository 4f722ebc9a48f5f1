import { useMemo } from "react";
import type { SentenceWriter } from "@/exchange/kinds/kind/segment";
import { sentenceWriter } from "@/exchange/kinds/kind/sentence-writer";
import { useNotation } from "../option/option-context";

/** How the deal's place writes what stands in a sentence. */
export function useSentenceWriter(currency: string): SentenceWriter {
  const { notation } = useNotation();
  return useMemo(() => sentenceWriter(currency, notation), [currency, notation]);
}
