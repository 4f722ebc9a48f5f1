import { type Remote, wrap } from "comlink";
import type { HorizonAnswer, HorizonQuestion, HorizonWorker } from "./horizon-worker";

/** Starts the thread that says what it costs to keep a vehicle. */
export function startHorizon(): {
  ask: (question: HorizonQuestion) => Promise<HorizonAnswer | null>;
  close: () => void;
} {
  const thread = new Worker(new URL("./horizon-worker.ts", import.meta.url), { type: "module" });
  const remote: Remote<HorizonWorker> = wrap<HorizonWorker>(thread);
  return { ask: question => remote.kept(question), close: () => thread.terminate() };
}
