import { useMemo } from "react";
import { type Extra, type LoanQuote, type RepaidEarly, type Result, repaidEarly } from "@/core";
import type { ExtraFile } from "@/exchange/extra-payments/extra.schema";
import { readEarly } from "@/exchange/extra-payments/read-early";
import { useDesk } from "../desk/desk-context";
import { withEarly } from "./early-changes";

/** The extra payments that are tried on the open option. */
export type Tried = {
  early: ExtraFile;
  /** Changes them; more of the same, such as typing in one field, is one step. */
  change: (change: (now: ExtraFile) => ExtraFile, key?: string) => void;
  /** As the core reads them. */
  extra: Result<Extra>;
  /** What they make of the loan; null where none are tried. */
  repaid: Result<RepaidEarly> | null;
};

const NOTHING: ExtraFile = {};

/** What is tried on the open option, and what it makes of its answer. */
export function useEarly(quote: LoanQuote): Tried {
  const { state, dispatch } = useDesk();
  const { open } = state;
  const early = state.asides?.options?.[open]?.early ?? NOTHING;
  const { currency } = quote.deal;
  const extra = useMemo(() => readEarly(early, currency), [early, currency]);
  const repaid = useMemo(() => {
    if (early === NOTHING) return null;
    return extra.ok ? repaidEarly(quote, extra.value) : extra;
  }, [early, extra, quote]);
  return {
    early,
    change: (change, key) =>
      dispatch({
        type: "asides",
        change: asides => withEarly(asides, open, change(asides.options?.[open]?.early ?? {})),
        ...(key !== undefined && { key: `early ${key}` }),
      }),
    extra,
    repaid,
  };
}
