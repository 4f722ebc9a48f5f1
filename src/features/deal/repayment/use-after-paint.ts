import { useEffect, useState } from "react";

/** False at first, true once that was painted: what can wait does not keep the rest from being seen. */
export function useAfterPaint(): boolean {
  const [isPainted, setPainted] = useState(false);
  useEffect(() => {
    // The frame that is next paints; what comes after it has been painted.
    let after: ReturnType<typeof setTimeout> | undefined;
    const frame = requestAnimationFrame(() => {
      after = setTimeout(() => setPainted(true));
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(after);
    };
  }, []);
  return isPainted;
}
