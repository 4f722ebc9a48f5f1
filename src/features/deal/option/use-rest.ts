import { useEffect, useState } from "react";
import type { DealInputs } from "@/exchange/deal-file";
import { notify } from "@/features/notices/notify";
import { hasWhatItNeeds, isLeaseLoaded, isRestLoaded, loadLease, loadRest, loadWhatIsNeeded } from "./rest";

const RETRY_AFTER = 2000;

/**
 * Whether the screen can be shown: at once where nothing but plain deals are on it, else when what they need is loaded.
 * The first touch of the page loads the rest for loans in any case, so that it is there when it is wanted.
 *
 * @param deals what opens
 */
export function useRest(deals: readonly DealInputs[]): boolean {
  const [, setLoaded] = useState(0);
  const isReady = hasWhatItNeeds(deals);
  const needed = isReady ? undefined : deals;
  useEffect(() => {
    if (!needed) return;
    return retrying(
      () => loadWhatIsNeeded(needed),
      () => setLoaded(count => count + 1),
    );
  }, [needed]);
  useEffect(() => {
    let stop: (() => void) | undefined;
    const touched = () => {
      stop ??= retrying(loadRest, () => {});
    };
    const once = { once: true, passive: true };
    window.addEventListener("pointerdown", touched, once);
    window.addEventListener("keydown", touched, once);
    return () => {
      stop?.();
      window.removeEventListener("pointerdown", touched);
      window.removeEventListener("keydown", touched);
    };
  }, []);
  return isReady;
}

/** Loads something, again and again while the server is away. */
function retrying(load: () => Promise<void>, done: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isStopped = false;
  const go = () =>
    load().then(
      () => {
        if (!isStopped) done();
      },
      () => {
        if (!isStopped) timer = setTimeout(go, RETRY_AFTER);
      },
    );
  void go();
  return () => {
    isStopped = true;
    clearTimeout(timer);
  };
}

const away = () =>
  notify.error("This could not be loaded, because the server is away. Try again when it is back.");

/** Does what needs the rest: at once where it is there. */
export function whenRestIsLoaded(go: () => void): void {
  if (isRestLoaded()) go();
  else loadRest().then(go, away);
}

/** Does what needs leases: at once where they are there. */
export function whenLeaseIsLoaded(go: () => void): void {
  if (isLeaseLoaded()) go();
  else loadLease().then(go, away);
}

/** Does what needs all that some deals need. */
export function whenLoaded(deals: readonly DealInputs[], go: () => void): void {
  if (hasWhatItNeeds(deals)) go();
  else loadWhatIsNeeded(deals).then(go, away);
}
