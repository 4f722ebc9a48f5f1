import { Worker } from "node:worker_threads";
import type { DealOption } from "@/exchange/deal-document";
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

/** The quotes of some options, as this core computes them; undefined where they take too much work. */
export const quotesOf = (
  options: DealOption[],
  maker: "awaited" | "many",
): Promise<SignedQuote[] | undefined> => makers()[maker](options);
