import type { DOMAttributes, MouseEvent } from "react";
import type { Marks } from "./marks";

/**
 * What a pointer does on lines of a table, each with its place in `data-place`: it points at one, chooses it, and chooses all
 * up to another one by a second press, by one with Shift, or by dragging.
 */
export function pointing({ pointed, onPoint, range, onRange }: Marks): DOMAttributes<HTMLElement> {
  const press = (place: number, isMore: boolean) => {
    const isSecond = range !== null && (isMore || range.from === range.to);
    onRange({ from: isSecond ? range.from : place, to: place });
  };
  return {
    // A mouse begins to drag where it is pressed; a finger that is pressed may be about to scroll.
    onPointerDown: event => {
      const place = placeOf(event);
      if (place !== null && event.pointerType === "mouse") press(place, event.shiftKey);
    },
    onClick: event => {
      const place = placeOf(event);
      const isOfMouse = "pointerType" in event.nativeEvent && event.nativeEvent.pointerType === "mouse";
      if (place !== null && !isOfMouse) press(place, event.shiftKey);
    },
    onPointerMove: event => {
      // Lines that are scrolled under a pointer that rests are not pointed at.
      if (event.movementX === 0 && event.movementY === 0) return;
      const place = placeOf(event);
      if (place !== null && event.buttons === 1) {
        if (range?.to !== place) press(place, true);
      } else if (place !== pointed) onPoint(place);
    },
    onPointerLeave: () => onPoint(null),
  };
}

/** The line under a pointer; null where there is none, or where what stands in it is pressed. */
function placeOf({ target }: MouseEvent): number | null {
  if (!(target instanceof Element) || target.closest("button")) return null;
  const place = target.closest("[data-place]")?.getAttribute("data-place");
  return place == null ? null : Number(place);
}
