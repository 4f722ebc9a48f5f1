import { useEffect, useRef, useState } from "react";
import { type MapClient, startMaps } from "@/workers/map-client";
import type { MapAnswer, MapQuestion } from "@/workers/map-worker";

/** A map that was made, with what it was made of. */
export type MadeMap = { question: MapQuestion; answer: MapAnswer };

/**
 * The newest map that was made, while a newer one may still be on its way.
 *
 * @param question the same object until something of it is another one; null where there is nothing to map
 */
export function useMap(question: MapQuestion | null): MadeMap | null {
  const [made, setMade] = useState<MadeMap | null>(null);
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
    void client.current?.ask(question).then(answer => {
      if (answer && isWanted) setMade({ question, answer });
    });
    return () => {
      isWanted = false;
    };
  }, [question]);
  return made;
}
