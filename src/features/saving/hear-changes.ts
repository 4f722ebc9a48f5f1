import { newId } from "@/exchange/deal-document/new-id";
import type { Others } from "@/server/changes/stream";
import type { Told } from "./look-again";
import { othersInWords } from "./others-in-words";
import { OTHERS_SAVED } from "./others-saved";

/** A browser holds few connections to one server, and each page that hears takes one for itself. */
const MOST_HEARING = 3;
/** A server that is away is asked again. */
const AGAIN_MS = 2000;
/** What is told in quick succession is looked at once; lists, which all that is saved changes, seldom. */
const APART_MS = 200;
const LISTS_APART_MS = 2000;

const BROWSER = "kellux.browser";

/**
 * Hears from the server what becomes of what a page shows, for as long as the page is in view.
 *
 * @param followed what of, as the server's address has it
 * @param tell is told
 * @param sayOthers is given who else has it open, in words
 * @returns ends it
 */
export function hearChanges(
  followed: string,
  tell: (told: Told) => Promise<void>,
  sayOthers: (others: string) => void,
): () => void {
  const page = newId();
  let source: EventSource | undefined;
  let letGo = () => {};
  let again: ReturnType<typeof setTimeout> | undefined;
  let waiting: ReturnType<typeof setTimeout> | undefined;
  let isOver = false;
  let latest: Told = {};
  let last = 0;

  const changed = (told: Told) => {
    latest = told;
    if (waiting) return;
    const pause = Math.max(
      0,
      last + (followed.startsWith("deal") ? APART_MS : LISTS_APART_MS) - performance.now(),
    );
    waiting = setTimeout(() => {
      waiting = undefined;
      last = performance.now();
      void tell(latest);
      window.dispatchEvent(new CustomEvent(OTHERS_SAVED, { detail: latest.version ?? null }));
    }, pause);
  };
  const open = () => {
    if (isOver || source || document.visibilityState !== "visible") return;
    const opened = new EventSource(`/api/changes?${followed}&page=${page}&browser=${ownBrowser()}`);
    source = opened;
    let wasOpen = false;
    opened.addEventListener("open", () => {
      // What was saved while it was away was not heard.
      if (wasOpen) changed({});
      wasOpen = true;
    });
    opened.addEventListener("changed", ({ data }) => changed(JSON.parse(data) as Told));
    opened.addEventListener("others", ({ data }) => sayOthers(othersInWords(JSON.parse(data) as Others)));
    opened.addEventListener("error", () => {
      if (opened.readyState !== EventSource.CLOSED) return;
      close();
      again = setTimeout(open, AGAIN_MS);
    });
  };
  const close = () => {
    clearTimeout(again);
    source?.close();
    source = undefined;
    // Who is there now is told anew.
    sayOthers("");
  };
  const follow = () => (document.visibilityState === "visible" ? open() : close());
  void oneOfFew().then(given => {
    if (isOver || !given) return given?.();
    letGo = given;
    document.addEventListener("visibilitychange", follow);
    open();
  });
  return () => {
    isOver = true;
    close();
    clearTimeout(waiting);
    document.removeEventListener("visibilitychange", follow);
    letGo();
  };
}

/** Waits until this is one of the few pages of the browser that hear; what is given back lets others be. */
async function oneOfFew(): Promise<(() => void) | undefined> {
  // Where a browser has no locks, nobody counts.
  if (!navigator.locks) return () => {};
  for (let place = 0; place < MOST_HEARING; place++) {
    const given = await lockIfFree(`kellux-hears.${place}`);
    if (given) return given;
  }
  return undefined;
}

const lockIfFree = (name: string): Promise<(() => void) | undefined> =>
  new Promise(resolve => {
    void navigator.locks.request(name, { ifAvailable: true }, lock =>
      lock ? new Promise<void>(letGo => resolve(() => letGo())) : resolve(undefined),
    );
  });

/** What this browser is known by, to tell its own pages from others'. */
function ownBrowser(): string {
  const known = localStorage.getItem(BROWSER);
  if (known) return known;
  const id = newId();
  localStorage.setItem(BROWSER, id);
  return id;
}
