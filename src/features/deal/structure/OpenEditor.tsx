import { lazy, Suspense } from "react";
import type { ListName } from "../fields";
import type { Opening } from "./use-structure";

// Most lines are never opened: the screen starts without the code for it.
const LineEditor = lazy(() => import("./LineEditor").then(({ LineEditor: editor }) => ({ default: editor })));

/** A line open to be changed, in place. */
export function OpenEditor(props: { list: ListName; index: number; opening: Opening }) {
  return (
    <Suspense fallback={<p className="text-faint text-sm">Opening …</p>}>
      <LineEditor {...props} />
    </Suspense>
  );
}
