import type { ChangeStorage } from "./pending-changes";

/** The browser's local storage. A full or forbidden storage must not stop anybody from typing. */
export const browserStorage: ChangeStorage = {
  getItem: key => localStorage.getItem(key),
  setItem: (key, value) => {
    try {
      localStorage.setItem(key, value);
    } catch (error) {
      console.warn("This browser keeps no unsaved changes.", error);
    }
  },
  removeItem: key => localStorage.removeItem(key),
  keys: () => Object.keys(localStorage),
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
