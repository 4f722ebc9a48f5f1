import { combine } from "@atlaskit/pragmatic-drag-and-drop/combine";
import { draggable, dropTargetForElements } from "@atlaskit/pragmatic-drag-and-drop/element/adapter";

/**
 * Lets cards be dragged onto one another.
 *
 * @param cards each with its option's id
 * @param onOver with the place, from 0, over which one is held; null for none
 * @param onMoved with the option's id and the place that it was dragged to
 * @returns what stops it
 */
export function letDrag(
  cards: readonly HTMLElement[],
  onOver: (place: number | null) => void,
  onMoved: (id: string, place: number) => void,
): () => void {
  return combine(
    ...cards.flatMap((element, place) => [
      draggable({ element, getInitialData: () => ({ option: element.dataset.option }) }),
      dropTargetForElements({
        element,
        canDrop: ({ source }) => typeof source.data.option === "string",
        onDragEnter: ({ source }) => onOver(source.element === element ? null : place),
        onDragLeave: () => onOver(null),
        onDrop: ({ source }) => {
          onOver(null);
          if (source.element !== element) onMoved(String(source.data.option), place);
        },
      }),
    ]),
  );
}
