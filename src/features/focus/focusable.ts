/** What can have the focus by a key. */
export const FOCUSABLE =
  "a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), summary, [tabindex]";

const isReached = (element: HTMLElement) => element.tabIndex >= 0 && element.getClientRects().length > 0;

/** All that Tab reaches within an element, in order. */
export const reached = (root: ParentNode): HTMLElement[] =>
  [...root.querySelectorAll<HTMLElement>(FOCUSABLE)].filter(isReached);
