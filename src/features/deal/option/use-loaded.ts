import { useEffect, useState } from "react";
import { type DealFile, isLease } from "@/exchange/deal-file";
import { notify } from "@/features/notices/notify";
import {
  areBothKindsLoaded,
  hasWhatItNeeds,
  isRestLoaded,
  loadBothKinds,
  loadRest,
  loadWhatIsNeeded,
} from "./loaded";

const RETRY_AFTER = 2000;

/** What is put into a field needs neither a press nor a key. */
const TOUCHES = ["pointerdown", "keydown", "input"] as const;

/**
 * Whether the screen can be shown: when what its deals need is loaded. The first touch of the page loads what only some
 * loans need in any case, so that it is there when it is wanted.
 *
 * @param deals what opens, the same list each time; nothing while nothing can be loaded
 */
export function useLoaded(deals: readonly DealFile[] | undefined): boolean {
  const [, setLoaded] = useState(0);
  const isReady = deals !== undefined && hasWhatItNeeds(deals);
  const hasLoans = deals?.some(inputs => !isLease(inputs)) ?? false;
  useEffect(() => {
    if (isReady || !deals) return;
    return untilLoaded(
      () => loadWhatIsNeeded(deals),
      () => setLoaded(count => count + 1),
    );
  }, [deals, isReady]);
  useEffect(() => {
    if (!hasLoans) return;
    let stop: (() => void) | undefined;
    const touched = () => {
      stop ??= untilLoaded(loadRest, () => {});
    };
    for (const touch of TOUCHES) window.addEventListener(touch, touched, { once: true, passive: true });
    return () => {
      stop?.();
      for (const touch of TOUCHES) window.removeEventListener(touch, touched);
    };
  }, [hasLoans]);
  return isReady;
}

/** Loads something, again and again while the server is away; the returned function gives up. */
function untilLoaded(load: () => Promise<void>, done: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isStopped = false;
  const again = () => {
    if (!isStopped) timer = setTimeout(go, RETRY_AFTER);
  };
  const go = () => {
    load().then(() => {
      if (!isStopped) done();
    }, again);
  };
  go();
  return () => {
    isStopped = true;
    clearTimeout(timer);
  };
}

const away = () =>
  notify.error("This could not be loaded, because the server is away. Try again when it is back.");

const whenReady = (isReady: boolean, load: () => Promise<void>, go: () => void) => {
  if (isReady) go();
  else load().then(go, away);
};

/** Does what only some loans need: at once where it is there. */
export const whenRestIsLoaded = (go: () => void): void => whenReady(isRestLoaded(), loadRest, go);

/** Does what turns one kind into the other. */
export const whenBothKindsAreLoaded = (go: () => void): void =>
  whenReady(areBothKindsLoaded(), loadBothKinds, go);

/** Does what needs all that some deals need. */
export const whenLoaded = (deals: readonly DealFile[], go: () => void): void =>
  whenReady(hasWhatItNeeds(deals), () => loadWhatIsNeeded(deals), go);
