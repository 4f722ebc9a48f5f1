import { useEffect, useRef, useState } from "react";
import { type LoanQuote, parseIsoDate, repaidEarly } from "@/core";
import type { Kept } from "@/core/horizon";
import { type CustomerContent, customerContent } from "@/exchange/customer-screen/content";
import type { PartShown } from "@/exchange/customer-screen/parts";
import { readEarly } from "@/exchange/extra-payments/read-early";
import { forCustomers } from "@/exchange/for-customers";
import type { KeepForFile } from "@/exchange/keep-for/keep-for.schema";
import type { Notation } from "@/exchange/notation";
import { localToday } from "@/features/figures/today";
import { type DeskState, deskDocument } from "../desk/desk-state";
import { shownQuote } from "../option";

type Asked = {
  state: DeskState;
  /** By the options' ids what they are called. */
  names: ReadonlyMap<string, string>;
  parts: ReadonlySet<PartShown>;
  /** The options that are left out. */
  hidden: ReadonlySet<string>;
  house: string;
  notation: Notation;
  kept: KeptTold | null;
};

/** What keeping the vehicle comes to, and what is assumed of that, also before anything of it was typed. */
export type KeptTold = { kept: Kept; file: KeepForFile };

/**
 * What stands on the customer's screen, made after the desk is painted and at most once a frame, so that typing never waits
 * for it.
 */
export function useContent(asked: Asked): CustomerContent | null {
  const [content, setContent] = useState<CustomerContent | null>(null);
  const latest = useRef(asked);
  latest.current = asked;
  const { state, names, parts, hidden, house, kept } = asked;
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is shown follows from these
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    // A task that a frame asks for comes after the frame is painted.
    const frame = requestAnimationFrame(() => {
      timer = setTimeout(() => setContent(contentOf(latest.current)), 0);
    });
    // A hidden page has no frames.
    if (document.hidden) timer = setTimeout(() => setContent(contentOf(latest.current)), 0);
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(timer);
    };
  }, [state, [...names.values()].join("\n"), parts, hidden, house, kept]);
  return content;
}

function contentOf({ state, names, parts, hidden, house, notation, kept }: Asked): CustomerContent {
  const seen = forCustomers(deskDocument(state));
  const options = state.options.flatMap(({ id, state: option }) => {
    const quote = option.answer.ok ? shownQuote(option) : null;
    return quote && !hidden.has(id) ? [{ id, name: names.get(id) ?? "", quote }] : [];
  });
  const own = options.find(({ id }) => id === state.open) ?? options[0];
  const tried = own && seen.asides?.options?.[own.id]?.early;
  return customerContent({
    seen,
    options,
    open: state.open,
    parts,
    house,
    today: parseIsoDate(localToday()) ?? 0,
    notation,
    kept: kept
      ? {
          ...kept,
          names: state.options.map(({ id }) => names.get(id) ?? ""),
          hidden: new Set(state.options.flatMap(({ id }, index) => (hidden.has(id) ? [index] : []))),
        }
      : undefined,
    early: tried && parts.has("early") ? earlyOf(own.quote as LoanQuote, tried) : undefined,
  });
}

type Tried = Parameters<typeof readEarly>[0];

function earlyOf(quote: LoanQuote, tried: NonNullable<Tried>) {
  if (!("loanAmount" in quote)) return undefined;
  const read = readEarly(tried, quote.deal.currency);
  const repaid = read.ok ? repaidEarly(quote, read.value) : read;
  return repaid.ok ? { tried, repaid: repaid.value } : undefined;
}
