import { useEffect, useState } from "react";
import { notify } from "@/features/notices/notify";
import { isRestLoaded, loadRest } from "./rest";

const RETRY_AFTER = 2000;

/**
 * Whether the screen can be shown: at once where nothing but a plain deal is on it, else when the rest is loaded. The
 * first touch of the page loads it in any case, so that it is there when it is wanted.
 *
 * @param isNeeded whether the deal that opens needs it
 */
export function useRest(isNeeded: boolean): boolean {
  const [isLoaded, setLoaded] = useState(isRestLoaded);
  useEffect(() => {
    if (isLoaded) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const load = () =>
      loadRest().then(
        () => setLoaded(true),
        () => {
          timer = setTimeout(load, RETRY_AFTER);
        },
      );
    if (isNeeded) void load();
    const touched = () => void load();
    const once = { once: true, passive: true };
    window.addEventListener("pointerdown", touched, once);
    window.addEventListener("keydown", touched, once);
    return () => {
      clearTimeout(timer);
      window.removeEventListener("pointerdown", touched);
      window.removeEventListener("keydown", touched);
    };
  }, [isLoaded, isNeeded]);
  return isLoaded || !isNeeded;
}

/** Does what needs the rest: at once where it is there. */
export function whenRestIsLoaded(go: () => void): void {
  const away = () =>
    notify.error("This could not be loaded, because the server is away. Try again when it is back.");
  if (isRestLoaded()) go();
  else loadRest().then(go, away);
}
