"use client";

import { lazy, Suspense } from "react";
import { useMe } from "./me-context";

// A desk without names starts without the code for them.
const PersonLinks = lazy(() =>
  import("./PersonLinks").then(({ PersonLinks: links }) => ({ default: links })),
);

/** Who is signed in, at the side of every page, once somebody has a name. */
export function PersonPlace({ locksAfter }: { locksAfter: number }) {
  const me = useMe();
  return (
    me && (
      <Suspense fallback={null}>
        <PersonLinks me={me} locksAfter={locksAfter} />
      </Suspense>
    )
  );
}
