import { type Remote, wrap } from "comlink";
import type { MapAnswer, MapQuestion, MapWorker } from "./map-worker";

/** Asks for maps in a thread of their own. */
type MapClient = {
  /** A map, or null where a newer one was asked for meanwhile. */
  ask: (question: MapQuestion) => Promise<MapAnswer | null>;
  close: () => void;
};

/** Starts the thread. */
export function startMaps(): MapClient {
  const thread = new Worker(new URL("./map-worker.ts", import.meta.url), { type: "module" });
  const remote: Remote<MapWorker> = wrap<MapWorker>(thread);
  return { ask: question => remote.map(question), close: () => thread.terminate() };
}
