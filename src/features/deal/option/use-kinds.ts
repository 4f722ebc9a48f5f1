import { useEffect, useState } from "react";
import { type KindName, kindNameOf } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import { notify } from "@/features/notices/notify";
import type { DeskKinds } from "./desk-kind";
import { kindsFor, loadFor, loadWhole, wholeKinds } from "./loading";

const RETRY_AFTER = 2000;

/** What is put into a field needs neither a press nor a key. */
const TOUCHES = ["pointerdown", "keydown", "input"] as const;

/**
 * The kinds that the screen's deals need, once they are there. The first touch of the page loads them whole in any case,
 * so that what only some need is there when it is wanted.
 *
 * @param deals what opens, the same list each time; nothing while nothing can be loaded
 */
export function useKinds(deals: readonly DealFile[] | undefined): DeskKinds | undefined {
  const [, setLoaded] = useState(0);
  const kinds = deals && kindsFor(deals);
  const isReady = kinds !== undefined;
  useEffect(() => {
    if (isReady || !deals) return;
    return untilLoaded(
      () => loadFor(deals),
      () => setLoaded(count => count + 1),
    );
  }, [deals, isReady]);
  useEffect(() => {
    if (!deals) return;
    let stop: (() => void) | undefined;
    const touched = () => {
      stop ??= untilLoaded(
        () => loadWhole(deals.map(kindNameOf)),
        () => {},
      );
    };
    for (const touch of TOUCHES) window.addEventListener(touch, touched, { once: true, passive: true });
    return () => {
      stop?.();
      for (const touch of TOUCHES) window.removeEventListener(touch, touched);
    };
  }, [deals]);
  return kinds;
}

/** Loads something, again and again while the server is away; the returned function gives up. */
function untilLoaded(load: () => Promise<unknown>, done: () => void): () => void {
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

type Go = (kinds: DeskKinds) => void;

const whenReady = (ready: DeskKinds | undefined, load: () => Promise<DeskKinds>, go: Go) => {
  if (ready) go(ready);
  else load().then(go, away);
};

/** Does what needs some kinds whole: at once where they are there. */
export const whenWhole = (names: readonly KindName[], go: Go): void =>
  whenReady(wholeKinds(names), () => loadWhole(names), go);

/** Does what needs the kinds of some deals. */
export const whenThere = (deals: readonly DealFile[], go: Go): void =>
  whenReady(kindsFor(deals), () => loadFor(deals), go);
