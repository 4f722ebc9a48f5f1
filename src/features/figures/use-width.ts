import { useEffect, useState } from "react";

/**
 * How wide a chart is drawn: as wide as its place.
 *
 * @param first how wide it is taken to be before it has one
 */
export function useWidth(frame: { readonly current: HTMLElement | null }, first: number): number {
  const [width, setWidth] = useState(first);
  useEffect(() => {
    const { current } = frame;
    if (!current) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setWidth(Math.max(Math.round(entry.contentRect.width), 280));
    });
    observer.observe(current);
    return () => observer.disconnect();
  }, [frame]);
  return width;
}
