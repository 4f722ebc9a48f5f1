import { startMaps } from "@/workers/map-client";
import type { MapAnswer, MapQuestion } from "@/workers/map-worker";
import { useThread } from "../parts/use-thread";

/** A map that was made, with what it was made of. */
export type MadeMap = { question: MapQuestion; answer: MapAnswer };

/** A map waits for a pause in typing, as long as it takes to see that there is one. */
const PAUSE_MS = 80;

/** The newest map that was made of a question. */
export const useMap = (question: MapQuestion | null): MadeMap | null =>
  useThread(startMaps, question, PAUSE_MS);
