import type { ChangeStorage, PendingChange } from "./pending-changes";

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

const lockName = (pageId: string) => `kellux-page.${pageId}`;

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
  const name = lockName(pageId);
  // The browser lets go of it when the page goes, even after a crash.
  if (navigator.locks) void navigator.locks.request(name, () => untilClosed);
  else void withoutLocks().then(({ answerFor }) => untilClosed.then(answerFor(name)));
  return { pageId, close };
}

/** Those of some changes whose pages are no longer open. */
export async function ofClosedPages(changes: readonly PendingChange[]): Promise<PendingChange[]> {
  if (changes.length === 0) return [];
  const open = new Set(await openPages());
  return changes.filter(({ pageId, isLeft }) => isLeft || !open.has(lockName(pageId)));
}

async function openPages(): Promise<(string | undefined)[]> {
  if (!navigator.locks) return (await withoutLocks()).answering();
  const { held = [] } = await navigator.locks.query();
  return held.map(lock => lock.name);
}
