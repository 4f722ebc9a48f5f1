import { useVirtualizer } from "@tanstack/react-virtual";
import type { ReactNode, RefObject } from "react";
import { ROW_HEIGHT, Spacer } from "./Spacer";

type Props = {
  scroller: RefObject<HTMLElement | null>;
  count: number;
  columns: number;
  row: (index: number) => ReactNode;
};

/** The lines of a table that are in view, wherever it is scrolled to. */
export function WindowedRows({ scroller, count, columns, row }: Props) {
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 4,
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
