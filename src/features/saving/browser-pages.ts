import type { ChangeStorage } from "./pending-changes";

/** What one person could not save waits for that person: whoever signs in after them at the same desk saves nothing of it. */
const ownKey = (key: string): string => {
  const { person } = document.querySelector<HTMLElement>("[data-person]")?.dataset ?? {};
  return person ? `${person}.${key}` : key;
};

/** The browser's local storage. A full or forbidden storage must not stop anybody from typing. */
export const browserStorage: ChangeStorage = {
  getItem: key => localStorage.getItem(ownKey(key)),
  setItem: (key, value) => {
    try {
      localStorage.setItem(ownKey(key), value);
    } catch (error) {
      console.warn("This browser keeps no unsaved changes.", error);
    }
  },
  removeItem: key => localStorage.removeItem(ownKey(key)),
  keys: () =>
    Object.keys(localStorage)
      .filter(key => key.startsWith(ownKey("")))
      .map(key => key.slice(ownKey("").length)),
};

// A browser has locks where a page came encrypted, or from this machine: others load what stands in for them.
const withoutLocks = () => import("./pages-without-locks");

/** What an open page is called. */
export const pageName = (pageId: string) => `kellux-page.${pageId}`;

/**
 * Gives this page a name that other pages can see for as long as it is open.
 *
 * @returns the name, and a function that lets go of it
 */
export function openPage(): { pageId: string; close: () => void } {
  const pageId = `${Date.now()}.${Math.random()}`;
  let close = () => {};
  const untilClosed = new Promise<void>(resolve => {
    close = resolve;
  });
  const name = pageName(pageId);
  // The browser lets go of it when the page goes, even after a crash.
  if (navigator.locks) void navigator.locks.request(name, () => untilClosed);
  else void withoutLocks().then(({ answerFor }) => untilClosed.then(answerFor(name)));
  return { pageId, close };
}

/** The names of the pages that are open. */
export async function openPages(): Promise<(string | undefined)[]> {
  if (!navigator.locks) return (await withoutLocks()).answering();
  const { held = [] } = await navigator.locks.query();
  return held.map(lock => lock.name);
}
