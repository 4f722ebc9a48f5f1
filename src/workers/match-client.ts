import { proxy, type Remote, wrap } from "comlink";
import type { MatchAnswer, MatchQuestion, MatchWorker } from "./match-worker";

/** Starts the thread that looks for the conventions that give another's figures. */
export function startMatch(): {
  ask: (question: MatchQuestion, told: (part: MatchAnswer) => void) => Promise<MatchAnswer | null>;
  close: () => void;
} {
  const thread = new Worker(new URL("./match-worker.ts", import.meta.url), { type: "module" });
  const remote: Remote<MatchWorker> = wrap<MatchWorker>(thread);
  return {
    ask: (question, told) => remote.match(question, proxy(told)),
    close: () => thread.terminate(),
  };
}
