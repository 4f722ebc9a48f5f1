import { combine } from "@atlaskit/pragmatic-drag-and-drop/combine";
import { draggable, dropTargetForElements } from "@atlaskit/pragmatic-drag-and-drop/element/adapter";
import { useEffect, useRef, useState } from "react";

/**
 * Lets the options of a list be dragged to other places.
 *
 * @param ids their ids in order, as one text
 * @param onMoved with the option's id and the place, from 0, that it was dragged to
 * @returns the list's element, and the place over which one is held
 */
export function useDraggedOptions(ids: string, onMoved: (id: string, place: number) => void) {
  const list = useRef<HTMLOListElement>(null);
  const [target, setTarget] = useState<number | null>(null);
  const moved = useRef(onMoved);
  moved.current = onMoved;
  useEffect(() => {
    const cards = ([...(list.current?.children ?? [])] as HTMLElement[]).filter(
      ({ dataset }) => dataset.option && ids.includes(dataset.option),
    );
    return combine(
      ...cards.flatMap((element, place) => [
        draggable({ element, getInitialData: () => ({ option: element.dataset.option }) }),
        dropTargetForElements({
          element,
          canDrop: ({ source }) => typeof source.data.option === "string",
          onDragEnter: ({ source }) => setTarget(source.element === element ? null : place),
          onDragLeave: () => setTarget(now => (now === place ? null : now)),
          onDrop: ({ source }) => {
            setTarget(null);
            if (source.element !== element) moved.current(String(source.data.option), place);
          },
        }),
      ]),
    );
  }, [ids]);
  return { list, target };
}
