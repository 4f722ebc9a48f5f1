import { useEffect, useRef, useState } from "react";

/**
 * Lets the options of a list be dragged to other places, once a pointer comes over it: nobody drags before.
 *
 * @param ids their ids in order, as one text
 * @param onMoved with the option's id and the place, from 0, that it was dragged to
 * @returns the list's element, what to call when a pointer comes over it, and the place over which an option is held
 */
export function useDraggedOptions(ids: string, onMoved: (id: string, place: number) => void) {
  const list = useRef<HTMLOListElement>(null);
  const [target, setTarget] = useState<number | null>(null);
  const [isWanted, setWanted] = useState(false);
  const moved = useRef(onMoved);
  moved.current = onMoved;
  useEffect(() => {
    if (!isWanted) return;
    let stop: (() => void) | undefined;
    let isGone = false;
    const cards = ([...(list.current?.children ?? [])] as HTMLElement[]).filter(
      ({ dataset }) => dataset.option && ids.includes(dataset.option),
    );
    import("./dragging").then(
      ({ letDrag }) => {
        if (!isGone) stop = letDrag(cards, setTarget, (id, place) => moved.current(id, place));
      },
      // Without the server they are moved by their buttons.
      () => setWanted(false),
    );
    return () => {
      isGone = true;
      stop?.();
    };
  }, [ids, isWanted]);
  return { list, target, wake: () => setWanted(true) };
}
