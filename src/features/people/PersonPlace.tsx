"use client";

import { Lock, Users } from "lucide-react";
import { lazy, Suspense, useEffect } from "react";
import { shutSide } from "@/features/dealer-side/side-state";
import { PLACE } from "@/features/places/place-style";
import { lockNow } from "./lock-state";
import { useMay, useMe } from "./me-context";

// Where nobody has a name there is nothing to lock.
const ScreenLock = lazy(() => import("./ScreenLock").then(({ ScreenLock: lock }) => ({ default: lock })));

/** Who is signed in, the way to all who are, and the lock: at the side of every page, once somebody has a name. */
export function PersonPlace({ locksAfter }: { locksAfter: number }) {
  const me = useMe();
  const maySeeSide = useMay("seeDealersSide");
  useEffect(() => {
    if (!maySeeSide) shutSide();
  }, [maySeeSide]);
  if (!me) return null;
  return (
    <>
      <a href="/people" className={PLACE} title={`Signed in: ${me.name}`}>
        <Users size={20} aria-hidden="true" />
        People
      </a>
      <button
        type="button"
        className={`${PLACE} cursor-pointer`}
        title="Lock this screen (Ctrl Shift L)"
        onClick={lockNow}
      >
        <span
          aria-hidden="true"
          className="grid size-6 place-items-center rounded-full bg-secondary text-secondary-content"
        >
          {initialsOf(me.name)}
        </span>
        <span className="flex items-center gap-0.5">
          <Lock size={12} aria-hidden="true" />
          Lock
        </span>
      </button>
      <Suspense fallback={null}>
        <ScreenLock me={me} locksAfter={locksAfter} />
      </Suspense>
    </>
  );
}

/** @example initialsOf("Maren Castellane") // "MC" */
const initialsOf = (name: string) =>
  name
    .split(/\s+/)
    .map(([first = ""]) => first)
    .filter((_, index, all) => index === 0 || index === all.length - 1)
    .join("")
    .toUpperCase();
