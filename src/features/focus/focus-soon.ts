import { FOCUSABLE } from "./focusable";

/** What a press has added may have to be loaded first. */
const LONGEST_WAIT_MS = 5000;

/**
 * Puts the focus on an element, or on the first thing in it, once it is there. Whoever has gone elsewhere meanwhile stays
 * there.
 *
 * @param selector of an element that is not there before
 */
export function focusSoon(selector: string): void {
  const pressed = document.activeElement;
  const until = performance.now() + LONGEST_WAIT_MS;
  const look = () => {
    const { activeElement } = document;
    if (activeElement !== pressed && activeElement !== document.body) return;
    const place = document.querySelector<HTMLElement>(selector);
    const target = place?.matches(FOCUSABLE) ? place : place?.querySelector<HTMLElement>(FOCUSABLE);
    if (target) target.focus();
    else if (performance.now() < until) requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
}
