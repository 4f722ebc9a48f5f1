import { Lock, Users } from "lucide-react";
import { useEffect } from "react";
import type { Person } from "@/exchange/people";
import { shutSide } from "@/features/dealer-side/side-state";
import { PLACE } from "@/features/places/place-style";
import { lockNow } from "./lock-state";
import { useMay } from "./me-context";
import { ScreenLock } from "./ScreenLock";

type Props = { me: Person; locksAfter: number };

/** The way to all who work here, and the lock, with who is signed in on it. */
export function PersonLinks({ me, locksAfter }: Props) {
  const maySeeSide = useMay("seeDealersSide");
  useEffect(() => {
    if (!maySeeSide) shutSide();
  }, [maySeeSide]);
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
      <ScreenLock me={me} locksAfter={locksAfter} />
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
