import { useEffect, useRef } from "react";

/** What others have saved is seen within ten seconds, the answer's way included; what the server tells of, sooner. */
const APART_MS = 8000;
/** The page comes first. */
const HEARS_AFTER_MS = 1000;

/** What the server tells a page: the version that a deal has come to, where that is known. */
export type Told = { version?: number | null };

/**
 * Looks again at what others may have saved meanwhile: where the server tells of it, every few seconds while the page is in
 * view, and when it comes into view. One look at a time.
 *
 * @param followed what the server is to tell of, as its address has it
 * @param look is given what was told, or nothing
 * @param sayOthers is given who else has it open, in words, whenever that is others than before
 */
export function useLookAgain(
  followed: string,
  look: (told: Told) => Promise<unknown> | undefined,
  sayOthers: (others: string) => void = sayNothing,
): void {
  const latest = useRef(look);
  latest.current = look;
  useEffect(() => {
    let isLooking = false;
    // Told while it was looking: it may have been too early for that.
    let missed: Told | undefined;
    const lookIfSeen = async (told: Told = {}) => {
      if (document.visibilityState !== "visible") return;
      if (isLooking) {
        missed = { version: null };
        return;
      }
      isLooking = true;
      for (let now: Told | undefined = told; now; now = missed) {
        missed = undefined;
        await latest.current(now)?.catch(() => {});
      }
      isLooking = false;
    };
    const lookNow = () => void lookIfSeen();
    const timer = setInterval(lookNow, APART_MS);
    document.addEventListener("visibilitychange", lookNow);
    window.addEventListener("focus", lookNow);
    let [end, isOver] = [() => {}, false];
    const hearing = setTimeout(
      () =>
        void import("./hear-changes").then(
          ({ hearChanges }) => {
            if (!isOver) end = hearChanges(followed, lookIfSeen, sayOthers);
          },
          () => {},
        ),
      HEARS_AFTER_MS,
    );
    return () => {
      isOver = true;
      clearTimeout(hearing);
      end();
      clearInterval(timer);
      document.removeEventListener("visibilitychange", lookNow);
      window.removeEventListener("focus", lookNow);
    };
  }, [followed, sayOthers]);
}

const sayNothing = () => {};
