import { useEffect, useState } from "react";

const TURNS = 16;
const STARTS = ["keydown", "pointerdown"] as const;

/**
 * Answers and draws the open option again a few times while nobody does anything, so that the engine has seen to the code
 * before the first key: it would take several times as long as the later ones.
 *
 * @param again answers and draws it again
 * @param isQuick whether that takes a moment: what has to be searched for long is not searched for again
 */
export function useWarmUp(again: () => void, isQuick: boolean): void {
  const [isWanted] = useState(isQuick);
  useEffect(() => {
    // Not every browser says when it has nothing to do.
    if (!isWanted || !("requestIdleCallback" in window)) return;
    let turns = 0;
    const turn = () => {
      again();
      turns += 1;
      handle = turns < TURNS ? requestIdleCallback(turn) : 0;
    };
    let handle = requestIdleCallback(turn);
    const stop = () => cancelIdleCallback(handle);
    for (const start of STARTS) window.addEventListener(start, stop, { once: true, passive: true });
    return () => {
      stop();
      for (const start of STARTS) window.removeEventListener(start, stop);
    };
  }, [again, isWanted]);
}
