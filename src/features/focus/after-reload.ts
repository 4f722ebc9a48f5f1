import { focusSoon } from "./focus-soon";

const KEY = "kellux.focus";

/** Loads the page again and goes on at an element of it. */
export function reloadTo(selector: string): void {
  sessionStorage.setItem(KEY, selector);
  location.reload();
}

/** Goes on where the page was loaded again for. */
export function focusAfterReload(): void {
  const selector = sessionStorage.getItem(KEY);
  sessionStorage.removeItem(KEY);
  if (selector) focusSoon(selector);
}
