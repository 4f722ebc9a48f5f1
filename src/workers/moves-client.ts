import { type Remote, wrap } from "comlink";
import type { MovesAnswer, MovesQuestion, MovesWorker } from "./moves-worker";

/** Asks for what would have to move, in a thread of its own. */
type MovesClient = {
  /** All candidates, or null where something newer was asked for meanwhile. */
  ask: (question: MovesQuestion) => Promise<MovesAnswer | null>;
  close: () => void;
};

/** Starts the thread. */
export function startMoves(): MovesClient {
  const thread = new Worker(new URL("./moves-worker.ts", import.meta.url), { type: "module" });
  const remote: Remote<MovesWorker> = wrap<MovesWorker>(thread);
  return { ask: question => remote.moves(question), close: () => thread.terminate() };
}
