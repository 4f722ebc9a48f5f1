import { useLayoutEffect, useState } from "react";

/**
 * How wide a chart is drawn: as wide as its place.
 *
 * @param first how wide it is taken to be before it has one
 */
export function useWidth(frame: { readonly current: HTMLElement | null }, first: number): number {
  const [width, setWidth] = useState(first);
  // Before it is painted, so that nothing is drawn twice.
  useLayoutEffect(() => {
    const { current } = frame;
    if (!current) return;
    const take = (wide: number) => setWidth(Math.max(Math.round(wide), 280));
    const { paddingLeft, paddingRight } = getComputedStyle(current);
    take(current.clientWidth - Number.parseFloat(paddingLeft) - Number.parseFloat(paddingRight));
    const observer = new ResizeObserver(([entry]) => entry && take(entry.contentRect.width));
    observer.observe(current);
    return () => observer.disconnect();
  }, [frame]);
  return width;
}
