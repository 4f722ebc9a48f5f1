import { useEffect, useRef } from "react";

/** What others have saved is seen within ten seconds, the answer's way included. */
const APART_MS = 8000;

/**
 * Looks again at what others may have saved meanwhile: every few seconds while the page is in view, and when it comes
 * into view. One look at a time.
 */
export function useLookAgain(look: () => Promise<unknown>): void {
  const latest = useRef(look);
  latest.current = look;
  useEffect(() => {
    let isLooking = false;
    const lookIfSeen = async () => {
      if (isLooking || document.visibilityState !== "visible") return;
      isLooking = true;
      await latest.current().catch(() => {});
      isLooking = false;
    };
    const timer = setInterval(() => void lookIfSeen(), APART_MS);
    document.addEventListener("visibilitychange", lookIfSeen);
    window.addEventListener("focus", lookIfSeen);
    return () => {
      clearInterval(timer);
      document.removeEventListener("visibilitychange", lookIfSeen);
      window.removeEventListener("focus", lookIfSeen);
    };
  }, []);
}
