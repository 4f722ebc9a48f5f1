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

const lockName = (pageId: string) => `kellux-page.${pageId}`;

/**
 * Gives this page a name that other pages can see for as long as it is open.
 *
 * @returns the name, and a function that lets go of it
 */
export function openPage(): { pageId: string; close: () => void } {
  const pageId = crypto.randomUUID();
  let close = () => {};
  const untilClosed = new Promise<void>(resolve => {
    close = resolve;
  });
  // The browser lets go of it when the page goes, even after a crash.
  void navigator.locks.request(lockName(pageId), () => untilClosed);
  return { pageId, close };
}

/** Those of some changes whose pages are no longer open. */
export async function ofClosedPages(changes: readonly PendingChange[]): Promise<PendingChange[]> {
  const { held = [] } = await navigator.locks.query();
  const open = new Set(held.map(lock => lock.name));
  return changes.filter(({ pageId, isLeft }) => isLeft || !open.has(lockName(pageId)));
}
