"use client";

import { useEffect } from "react";
import { isFocusAwaited } from "./focus-soon";
import { reached } from "./focusable";

/**
 * A press whose button goes with what it did leaves the focus beside it: on what came next, else on what stood before. So
 * typing and Tab go on from there, and not from the beginning of the page.
 */
export function FocusKept() {
  useEffect(() => {
    let beside: readonly HTMLElement[] = [];
    let last: HTMLElement | null = null;
    const pressed = ({ target }: Event) => {
      const element = (target as Element | null)?.closest?.("button, a, summary, input, select, textarea");
      if (!(element instanceof HTMLElement)) return;
      last = element;
      const all = reached(element.closest("dialog, [popover]") ?? document);
      const place = all.findIndex(each => each === element || element.contains(each));
      const at = place < 0 ? firstAfter(all, element) : place;
      beside = [...all.slice(at), ...all.slice(0, at).reverse()];
    };
    const observer = new MutationObserver(() => {
      if (document.activeElement !== document.body || beside.length === 0) return;
      // A part that has the focus next may be put there in the same go.
      requestAnimationFrame(() => {
        if (document.activeElement !== document.body || isFocusAwaited() || (last && isThere(last))) return;
        const next = beside.find(isThere);
        beside = [];
        next?.focus({ preventScroll: true });
      });
    });
    observer.observe(document.body, { childList: true, subtree: true });
    const forget = ({ target }: Event) => {
      // A press on nothing takes the focus away on purpose.
      if (!(target as Element).closest("button, a, summary, input, select, textarea, label")) beside = [];
    };
    document.addEventListener("click", pressed, true);
    document.addEventListener("pointerdown", forget, true);
    return () => {
      observer.disconnect();
      document.removeEventListener("click", pressed, true);
      document.removeEventListener("pointerdown", forget, true);
    };
  }, []);
  return null;
}

/** Whether an element can have the focus. */
const isThere = (element: HTMLElement): boolean =>
  element.isConnected && element.getClientRects().length > 0 && !element.matches(":disabled");

/** The place of the first of some elements that stands after another one. */
function firstAfter(all: readonly HTMLElement[], element: HTMLElement): number {
  const place = all.findIndex(
    each => element.compareDocumentPosition(each) & Node.DOCUMENT_POSITION_FOLLOWING,
  );
  return place < 0 ? all.length : place;
}
