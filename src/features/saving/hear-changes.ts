import { newId } from "@/exchange/deal-document/new-id";
import type { Others } from "@/server/changes/stream";
import type { Told } from "./look-again";
import { oneOfFew } from "./one-of-few";
import { othersInWords } from "./others-in-words";
import { OTHERS_SAVED } from "./others-saved";

/** A browser holds few connections to one server, and each page that hears takes one for itself. */
const MOST_HEARING = 3;
/** A server that is away is asked again. */
const AGAIN_MS = 2000;
/** What is told in quick succession is looked at once; lists, which all that is saved changes, seldom. */
const APART_MS = 200;
const LISTS_APART_MS = 5000;

const BROWSER = "kellux-browser.";

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
  const addressed = ownBrowser().then(browser => `/api/changes?${followed}&page=${page}&browser=${browser}`);
  const tellSoon = sparing(tell, followed.startsWith("deal") ? APART_MS : LISTS_APART_MS);
  /** Ends the hearing that is under way; undefined where there is none. */
  let end: (() => void) | undefined;

  const begin = () => {
    let isOver = false;
    let again: ReturnType<typeof setTimeout> | undefined;
    let source: EventSource | undefined;
    let letGo = () => {};
    const open = (address: string) => {
      const opened = new EventSource(address);
      source = opened;
      let wasOpen = false;
      opened.addEventListener("open", () => {
        // What was saved while it was away was not heard.
        if (wasOpen) tellSoon({});
        wasOpen = true;
      });
      opened.addEventListener("changed", ({ data }) => tellSoon(JSON.parse(data) as Told));
      opened.addEventListener("others", ({ data }) => sayOthers(othersInWords(JSON.parse(data) as Others)));
      opened.addEventListener("error", () => {
        // Who is there now is told anew.
        sayOthers("");
        if (opened.readyState === EventSource.CLOSED) again = setTimeout(() => open(address), AGAIN_MS);
      });
    };
    void Promise.all([oneOfFew("kellux-hears", MOST_HEARING), addressed]).then(([given, address]) => {
      if (isOver) given?.();
      else if (given) {
        letGo = given;
        open(address);
      }
    });
    return () => {
      isOver = true;
      clearTimeout(again);
      source?.close();
      sayOthers("");
      letGo();
    };
  };
  const follow = () => {
    const isSeen = document.visibilityState === "visible";
    if (!isSeen) end?.();
    end = isSeen ? (end ?? begin()) : undefined;
  };
  document.addEventListener("visibilitychange", follow);
  follow();
  return () => {
    document.removeEventListener("visibilitychange", follow);
    end?.();
  };
}

/** Tells what comes at once where nothing came for a while; else the last of what comes, after that while. */
function sparing(tell: (told: Told) => Promise<void>, apart: number): (told: Told) => void {
  let latest: Told = {};
  let last = Number.NEGATIVE_INFINITY;
  let waiting: ReturnType<typeof setTimeout> | undefined;
  return told => {
    latest = told;
    if (waiting) return;
    const go = () => {
      waiting = undefined;
      last = performance.now();
      void tell(latest);
      window.dispatchEvent(new CustomEvent(OTHERS_SAVED, { detail: latest.version ?? null }));
    };
    waiting = setTimeout(go, Math.max(0, last + apart - performance.now()));
  };
}

/**
 * What this browser is known by, to tell its own pages from others': a lock that they all hold, because nothing is to stay in
 * a browser of what is looked at in it.
 */
async function ownBrowser(): Promise<string> {
  if (!navigator.locks) return newId();
  const { held = [] } = await navigator.locks.query();
  const known = held.find(({ name }) => name?.startsWith(BROWSER))?.name;
  const id = known?.slice(BROWSER.length) ?? newId();
  const whileOpen = new Promise<never>(() => {});
  void navigator.locks.request(`${BROWSER}${id}`, { mode: "shared" }, () => whileOpen);
  return id;
}
