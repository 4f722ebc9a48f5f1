// Works out what it costs to keep a vehicle beside the page: every way, where they tie, and the lines over every length.
import { expose } from "comlink";
import { type Deal, evaluate, type Quote, type Result, success } from "@/core";
import { type CostLines, costLines, type HorizonAsked, type Kept, keptFor } from "@/core/horizon";

/** Options with every figure given, null for one without an answer; and what is assumed. */
export type HorizonQuestion = Omit<HorizonAsked, "quotes"> & {
  deals: readonly (Deal | null)[];
  /** The number of the option that the others are set against, from 0; null for cash. */
  against: number | null;
};

export type HorizonAnswer = Result<{ kept: Kept; lines: CostLines }>;

let newest = 0;
/** A table is made once, however often something that is assumed changes. */
const quotes = new Map<string, Quote | null>();
const MOST_QUOTES = 64;

function quoteOf(deal: Deal | null): Quote | null {
  if (!deal) return null;
  const key = JSON.stringify(deal);
  const known = quotes.get(key);
  if (known !== undefined) return known;
  const answer = evaluate(deal);
  const quote = answer.ok ? (answer.value as Quote) : null;
  if (quotes.size >= MOST_QUOTES) quotes.clear();
  quotes.set(key, quote);
  return quote;
}

const worker = {
  /** Null where something newer was asked for meanwhile. */
  async kept({ deals, against, ...asked }: HorizonQuestion): Promise<HorizonAnswer | null> {
    newest += 1;
    const own = newest;
    await new Promise(resolve => setTimeout(resolve, 0));
    if (own !== newest) return null;
    const whole = { ...asked, quotes: deals.map(quoteOf) };
    const kept = keptFor(whole, against);
    if (!kept.ok) return kept;
    const lines = costLines(whole);
    return lines.ok ? success({ kept: kept.value, lines: lines.value }) : lines;
  },
};

export type HorizonWorker = typeof worker;

expose(worker);
