import { type Remote, wrap } from "comlink";
import type { PaidOffQuestion, PaidOffWorker } from "./paid-off-worker";

/** Asks what pays a loan off in time, in a thread of its own. */
type PaidOffClient = {
  ask: (question: PaidOffQuestion) => ReturnType<PaidOffWorker["paidOff"]>;
  close: () => void;
};

/** Starts the thread. */
export function startPaidOff(): PaidOffClient {
  const thread = new Worker(new URL("./paid-off-worker.ts", import.meta.url), { type: "module" });
  const remote: Remote<PaidOffWorker> = wrap<PaidOffWorker>(thread);
  return { ask: question => remote.paidOff(question), close: () => thread.terminate() };
}
