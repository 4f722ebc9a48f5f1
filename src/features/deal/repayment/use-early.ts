import { useMemo } from "react";
import { type Extra, type LoanQuote, type RepaidEarly, type Result, whyNoExtras } from "@/core";
import type { ExtraFile } from "@/exchange/extra-payments/extra.schema";
import { readEarly } from "@/exchange/extra-payments/read-early";
import { useDesk } from "../desk/desk-context";
import { useAnswer } from "../parts/use-thread";
import { withEarly } from "./early-changes";
import { type EarlyThread, useEarlyThread } from "./use-early-thread";

/** The extra payments that are tried on the open option. */
export type Tried = {
  early: ExtraFile;
  /** Changes them; more of the same, such as typing in one field, is one step. */
  change: (change: (now: ExtraFile) => ExtraFile, key?: string) => void;
  /** As the core reads them. */
  extra: Result<Extra>;
  /** What they make of the loan; null where none are tried, or until it is worked out. */
  repaid: Result<RepaidEarly> | null;
  thread: EarlyThread;
};

const NOTHING: ExtraFile = {};

/** What is tried on the open option, and what it makes of its answer. */
export function useEarly(quote: LoanQuote): Tried {
  const { state, dispatch } = useDesk();
  const { open } = state;
  const thread = useEarlyThread();
  const early = state.asides?.options?.[open]?.early ?? NOTHING;
  const { currency } = quote.deal;
  const extra = useMemo(() => readEarly(early, currency), [early, currency]);
  const isAsked = early !== NOTHING && whyNoExtras(quote) === undefined;
  const question = useMemo(
    () => (isAsked && extra.ok ? { deal: quote.filled, early: extra.value } : null),
    [isAsked, extra, quote.filled],
  );
  const found = useAnswer(thread.repaid, question, 0);
  // While more is typed, what was worked out before stays; of another loan it says nothing.
  const answer = question && found?.question.deal === question.deal ? found.answer : null;
  const repaid = isAsked && !extra.ok ? extra : answer;
  return useMemo(
    () => ({
      early,
      change: (change, key) =>
        dispatch({
          type: "asides",
          change: asides => withEarly(asides, open, change(asides.options?.[open]?.early ?? {})),
          ...(key !== undefined && { key: `early ${key}` }),
        }),
      extra,
      repaid,
      thread,
    }),
    [dispatch, early, extra, open, repaid, thread],
  );
}
