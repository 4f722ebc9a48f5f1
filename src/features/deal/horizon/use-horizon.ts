import { useMemo } from "react";
import type { Deal, Failure } from "@/core";
import type { AfterEnd, CostLines, Kept } from "@/core/horizon";
import type { KeepForFile } from "@/exchange/keep-for/keep-for.schema";
import { readKeepFor } from "@/exchange/keep-for/read-keep-for";
import { keepForAtFirst } from "@/exchange/keep-for/start";
import { usualTaxes } from "@/exchange/settings/usual-taxes";
import { startHorizon } from "@/workers/horizon-client";
import type { HorizonQuestion } from "@/workers/horizon-worker";
import { useDesk } from "../desk/desk-context";
import { withAside } from "../desk/with-aside";
import { shownQuote } from "../option";
import { useThread } from "../parts/use-thread";

/** How long the vehicle is kept, as it stands on the deal, and what that comes to. */
export type Horizon = {
  file: KeepForFile;
  /** Changes it; more of the same, such as typing in one field, is one step. */
  change: (change: (now: KeepForFile) => KeepForFile, key?: string) => void;
  /** What becomes of an option after its end. */
  after: (id: string) => AfterEnd;
  putAfter: (id: string, after: AfterEnd) => void;
  currency: string;
  /** What was asked last and its answer; null until there is one. */
  told: { kept: Kept; lines: CostLines; asked: HorizonQuestion } | null;
  /** Why there is no answer. */
  failure: Failure | null;
  /** Whether the answer is of what stood before. */
  isOld: boolean;
};

/** Of the whole deal, with every option that has an answer. */
export function useHorizon(against: number | null): Horizon {
  const { state, dispatch, house } = useDesk();
  const { options, chosen, heading, asides } = state;
  const { place } = heading;
  const own = Math.max(
    options.findIndex(({ id }) => id === chosen),
    0,
  );
  const { currency = "USD" } = options[own]?.state.inputs ?? {};
  const first = useMemo(() => keepForAtFirst(place, house.curves), [place, house.curves]);
  const file = asides?.keepFor ?? first;
  const quotes = options.map(option => (option.state.answer.ok ? shownQuote(option.state) : null));
  const filled = quotes.map(quote => (quote?.filled as Deal | undefined) ?? null);
  const key = JSON.stringify([
    file,
    asides?.return,
    options.map(({ id }) => asides?.options?.[id]?.after),
    place,
    own,
    against,
  ]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is assumed is compared by its text, options by what they are
  const read = useMemo(() => {
    const after = options.map(({ id }) => asides?.options?.[id]?.after);
    const keepFor = readKeepFor(file, { currency, return: asides?.return, after });
    if (!keepFor.ok) return { failure: keepFor.failure, question: null };
    const question: HorizonQuestion = {
      deals: filled,
      chosen: own,
      keepFor: keepFor.value,
      usualTaxes: usualTaxes(house, currency),
      place,
      against,
    };
    return { failure: null, question };
  }, [key, currency, house, ...filled, filled.length]);
  const found = useThread(startHorizon, read.question, 0);
  const answer = found?.answer;
  return {
    file,
    change: (change, name) =>
      dispatch({
        type: "asides",
        change: now => ({ ...now, keepFor: change(now.keepFor ?? first) }),
        ...(name !== undefined && { key: `kept ${name}` }),
      }),
    after: id => asides?.options?.[id]?.after ?? "buy",
    putAfter: (id, after) =>
      dispatch({
        type: "asides",
        change: now => withAside(now, id, "after", after === "buy" ? undefined : after),
      }),
    currency,
    told: answer?.ok && found ? { ...answer.value, asked: found.question } : null,
    failure: read.failure ?? (answer && !answer.ok ? answer.failure : null),
    isOld: found !== null && found.question !== read.question,
  };
}
