import { lazy, Suspense } from "react";
import type { Tally } from "../option";

// A picture of what stands above it: the screen starts without the code for it.
const AmountBar = lazy(() => import("./AmountBar").then(({ AmountBar: bar }) => ({ default: bar })));

/** What is financed is made of, as a bar, where it is made of more than one thing. */
export function MadeOf({ lines, stale }: { lines: Tally["lines"]; stale: boolean }) {
  const added = lines.filter(({ sign, amount }) => sign > 0 && amount > 0);
  return (
    <div className="mt-1.5 h-2">
      <Suspense fallback={null}>{added.length > 1 && <AmountBar lines={lines} stale={stale} />}</Suspense>
    </div>
  );
}
