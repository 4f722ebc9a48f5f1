import { Worker } from "node:worker_threads";
import { CORE_VERSION } from "@/core";
import type { Signing } from "@/data/signings";
import type { FrozenQuote } from "@/exchange/answers/frozen-quote";
import type { DealDocument, DealOption } from "@/exchange/deal-document";
import { workInThread } from "../threads/work-in-thread";

/** Eight options of the longest loans take a small part of it. */
const LONGEST_MS = 8000;

type QuotesMaker = (options: DealOption[]) => Promise<FrozenQuote[] | undefined>;

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & { kelluxQuotes?: QuotesMaker };

/**
 * What a deal is signed with: the quote of every option, as this core computes it.
 *
 * @param isLate whether it had been signed before quotes were kept
 * @returns undefined where it takes too much work
 */
export async function signingOf({ options }: DealDocument, isLate = false): Promise<Signing | undefined> {
  shared.kelluxQuotes ??= workInThread(() => new Worker(new URL("./thread.ts", import.meta.url)), LONGEST_MS);
  const quotes = await shared.kelluxQuotes(options);
  return quotes && { at: new Date(), coreVersion: CORE_VERSION, isLate, quotes };
}
