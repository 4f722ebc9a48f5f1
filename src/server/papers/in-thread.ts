import { Worker } from "node:worker_threads";
import type { PaperQuestion } from "@/exchange/papers/make-paper";
import { workInThread } from "../threads/work-in-thread";

/** The bytes of a paper, or why there is none. */
export type PaperAnswer = { bytes: Uint8Array } | { sentence: string };

/** No paper keeps others waiting for longer. */
const LONGEST_MS = 30_000;

/** Makes papers in a thread of its own; undefined where that took too long. */
export const inThread = workInThread<PaperQuestion, PaperAnswer>(
  () => new Worker(new URL("./thread.ts", import.meta.url)),
  LONGEST_MS,
);
