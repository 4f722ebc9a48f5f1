import { Worker } from "node:worker_threads";
import { workInThread } from "../threads/work-in-thread";
import type { ProgramsAnswer, ProgramsQuestion } from "./questions";

const LONGEST_MS = 20_000;

/** What the thread answers: `"rates"` where the rates that a question is about are to be sent along. */
type Answer = ProgramsAnswer[keyof ProgramsAnswer] | "rates";
type Ask = (question: ProgramsQuestion) => Promise<Answer | undefined>;

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & { kelluxPrograms?: Ask };

/** Has a question about programs answered in a thread of its own; undefined where that takes too long. */
export async function askProgramsThread<Question extends ProgramsQuestion>(
  question: Question,
): Promise<ProgramsAnswer[Question["ask"]] | "rates" | undefined> {
  shared.kelluxPrograms ??= workInThread<ProgramsQuestion, Answer>(
    () => new Worker(new URL("./thread.ts", import.meta.url)),
    LONGEST_MS,
  );
  return (await shared.kelluxPrograms(question)) as ProgramsAnswer[Question["ask"]] | "rates" | undefined;
}
