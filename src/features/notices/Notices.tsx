"use client";

import { lazy, Suspense, useEffect, useState } from "react";
import { onFirstNotice } from "./notify";
import { PlainNotices } from "./PlainNotices";

const Toasts = lazy(() =>
  import("./Toasts").then(
    ({ Toasts: toasts }) => ({ default: toasts }),
    () => ({ default: PlainNotices }),
  ),
);

const FIRST_TOUCHES = ["pointerdown", "keydown"] as const;

/**
 * What is said at the edge of the screen. Its code comes with the first touch of a page, not with the page: there is
 * nothing to say before, and later the server may be away.
 */
export function Notices() {
  const [isWanted, setWanted] = useState(false);
  useEffect(() => {
    const want = () => setWanted(true);
    onFirstNotice(want);
    for (const touch of FIRST_TOUCHES) window.addEventListener(touch, want, { once: true });
    return () => {
      for (const touch of FIRST_TOUCHES) window.removeEventListener(touch, want);
    };
  }, []);
  return isWanted ? (
    <Suspense fallback={null}>
      <Toasts />
    </Suspense>
  ) : null;
}
