import { defaultRangeExtractor, type Range, useVirtualizer } from "@tanstack/react-virtual";
import { type ReactNode, type RefObject, useCallback, useRef } from "react";
import { ROW_HEIGHT, Spacer } from "./Spacer";

type Props = {
  scroller: RefObject<HTMLElement | null>;
  count: number;
  columns: number;
  row: (index: number) => ReactNode;
};

/** How many more lines than needed stay drawn. */
const MOST_KEPT = 6;

/**
 * The lines to draw: those that were, as long as they hold all that come into view. A sentence above that is a line longer
 * with one key and shorter with the next draws no others.
 */
function useLinesToDraw(): (range: Range) => number[] {
  const drawn = useRef<readonly number[]>([]);
  return useCallback(range => {
    const needed = defaultRangeExtractor(range);
    const { current } = drawn;
    const [first = 0, last = -1] = [current[0], current.at(-1)];
    const holds = first <= (needed[0] ?? 0) && last >= (needed.at(-1) ?? 0) && last < range.count;
    if (!holds || current.length > needed.length + MOST_KEPT) drawn.current = needed;
    return [...drawn.current];
  }, []);
}

/** The lines of a table that are in view, wherever it is scrolled to. */
export function WindowedRows({ scroller, count, columns, row }: Props) {
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 2,
    rangeExtractor: useLinesToDraw(),
    // It may be scrolled before this code is there.
    initialOffset: () => scroller.current?.scrollTop ?? 0,
    initialRect: { width: 750, height: 320 },
  });
  const shown = virtual.getVirtualItems();
  const above = shown[0]?.start ?? 0;
  const below = virtual.getTotalSize() - (shown.at(-1)?.end ?? 0);
  return (
    <>
      {above > 0 && <Spacer height={above} columns={columns} />}
      {shown.map(({ index }) => row(index))}
      {below > 0 && <Spacer height={below} columns={columns} />}
    </>
  );
}
