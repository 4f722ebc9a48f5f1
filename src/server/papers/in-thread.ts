import { Worker } from "node:worker_threads";
import type { RecapQuestion } from "@/exchange/papers/deal-recap";
import type { PaperQuestion } from "@/exchange/papers/make-paper";
import type { PaperName } from "@/exchange/papers/paper-kinds";
import type { TableFile } from "@/exchange/workbook/table.schema";
import type { PapersReply } from "../contract";
import { workInThread } from "../threads/work-in-thread";

/**
 * What is asked of the thread: a paper, marked where it is only looked at; which papers there are of some options; both
 * sides of a deal; a table.
 */
export type ThreadQuestion =
  | { kind: "paper"; question: PaperQuestion; mark?: string | undefined }
  | { kind: "look"; question: Omit<PaperQuestion, "name"> }
  | { kind: "recap"; question: RecapQuestion }
  | { kind: "table"; table: TableFile };

/** A paper that is given, whole. */
export type DrawnPaper = { name: PaperName; bytes: Uint8Array };

/** The bytes of a paper with those of what it encloses, why there is none, or what there is. */
export type ThreadAnswer =
  | (DrawnPaper & { enclosed: readonly DrawnPaper[] })
  | { sentence: string }
  | { recap: Uint8Array }
  | { table: Uint8Array }
  | PapersReply;

/** No paper keeps others waiting for longer. */
const LONGEST_MS = 30_000;

/** Makes papers in a thread of its own; undefined where that took too long. */
export const inThread = workInThread<ThreadQuestion, ThreadAnswer>(
  () => new Worker(new URL("./thread.ts", import.meta.url)),
  LONGEST_MS,
);
