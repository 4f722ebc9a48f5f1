import { type Remote, wrap } from "comlink";
import type { EarlyWorker } from "./early-worker";

/** Starts the thread. */
export function startEarly(): { remote: Remote<EarlyWorker>; close: () => void } {
  const thread = new Worker(new URL("./early-worker.ts", import.meta.url), { type: "module" });
  return { remote: wrap<EarlyWorker>(thread), close: () => thread.terminate() };
}
