import { useEffect, useRef, useState } from "react";
import { type MapClient, startMaps } from "@/workers/map-client";
import type { MapAnswer, MapQuestion } from "@/workers/map-worker";

/** A map that was made, with what it was made of. */
export type MadeMap = { question: MapQuestion; answer: MapAnswer };

/** A map waits for a pause in typing, as long as it takes to see that there is one. */
const PAUSE_MS = 80;

/**
 * The newest map that was made, while a newer one may still be on its way.
 *
 * @param question the same object until something of it is another one; null where there is nothing to map
 */
export function useMap(question: MapQuestion | null): MadeMap | null {
  const [made, setMade] = useState<MadeMap | null>(null);
  const isFirst = useRef(true);
  const client = useRef<MapClient>(undefined);
  useEffect(() => {
    client.current = startMaps();
    return () => {
      client.current?.close();
      client.current = undefined;
    };
  }, []);
  useEffect(() => {
    if (!question) return;
    let isWanted = true;
    const ask = () =>
      client.current?.ask(question).then(answer => {
        if (!answer || !isWanted) return;
        isFirst.current = false;
        setMade({ question, answer });
      });
    const timer = setTimeout(() => void ask(), isFirst.current ? 0 : PAUSE_MS);
    return () => {
      isWanted = false;
      clearTimeout(timer);
    };
  }, [question]);
  return made;
}
