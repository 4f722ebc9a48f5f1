import { type RefObject, useLayoutEffect } from "react";

/**
 * Hears keys on the whole page, or on a field that another component draws, from the moment at which what they are for
 * is there: an effect after the paint would miss who is quicker.
 *
 * @param press what is done
 * @param field where only its keys count
 */
export function useKeys(press: (event: KeyboardEvent) => void, field?: RefObject<HTMLElement | null>): void {
  useLayoutEffect(() => {
    const place = field ? field.current : document.documentElement;
    place?.addEventListener("keydown", press);
    return () => place?.removeEventListener("keydown", press);
  });
}
