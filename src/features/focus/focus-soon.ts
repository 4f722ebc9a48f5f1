import { FOCUSABLE } from "./focusable";

/** What a press has added may have to be loaded first. */
const LONGEST_WAIT_MS = 5000;

let waits = 0;

/** Whether something that is not there yet has the focus next. */
export const isFocusAwaited = (): boolean => waits > 0;

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
    const isHere = activeElement === pressed || activeElement === document.body;
    const place = document.querySelector<HTMLElement>(selector);
    const target = place?.matches(FOCUSABLE) ? place : place?.querySelector<HTMLElement>(FOCUSABLE);
    if (isHere && !target && performance.now() < until) {
      requestAnimationFrame(look);
      return;
    }
    waits -= 1;
    if (isHere) target?.focus();
  };
  waits += 1;
  requestAnimationFrame(look);
}
