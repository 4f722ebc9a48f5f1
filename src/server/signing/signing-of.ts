import { Worker } from "node:worker_threads";
import { CORE_VERSION } from "@/core";
import type { Signing } from "@/data/signings";
import type { DealDocument, DealOption } from "@/exchange/deal-document";
import type { SignedQuote } from "@/exchange/signed-quote";
import { workInThread } from "../threads/work-in-thread";

/** By the clock: eight options of the longest loans take a small part of it, on a slow machine that has others to serve, too. */
const LONGEST_MS = 30_000;

type QuotesMaker = (options: DealOption[]) => Promise<SignedQuote[] | undefined>;

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & {
  kelluxQuotes?: { awaited: QuotesMaker; many: QuotesMaker };
};

/** A thread for the signing that a person waits for, and one for those of many: the one is not kept waiting by the other. */
const makers = () => {
  shared.kelluxQuotes ??= {
    awaited: workInThread(() => new Worker(new URL("./thread.ts", import.meta.url)), LONGEST_MS),
    many: workInThread(() => new Worker(new URL("./patient-thread.ts", import.meta.url)), LONGEST_MS),
  };
  return shared.kelluxQuotes;
};

/** How a signing comes about: alone, and waited for; as one of many; or late, where it had been signed before quotes were kept. */
export type SigningOccasion = "awaited" | "many" | "late";

/**
 * What a deal is signed with: the quote of every option, as this core computes it.
 *
 * @returns undefined where it takes too much work
 */
export async function signingOf(
  { options }: DealDocument,
  occasion: SigningOccasion,
): Promise<Signing | undefined> {
  const quotes = await makers()[occasion === "awaited" ? "awaited" : "many"](options);
  return quotes && { at: new Date(), coreVersion: CORE_VERSION, isLate: occasion === "late", quotes };
}
