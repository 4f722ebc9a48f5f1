"use client";

import { lazy, Suspense, useEffect, useRef, useState } from "react";
import { SIDE_UNTIL, useSide } from "@/features/dealer-side/side-state";

// Asked for now and then: a page starts without the code for it.
const Shortcuts = lazy(() =>
  import("@/features/shell/Shortcuts").then(({ Shortcuts: sheet }) => ({ default: sheet })),
);
const SidePlaces = lazy(() =>
  import("@/features/dealer-side/SidePlaces").then(({ SidePlaces: places }) => ({ default: places })),
);
const loadSide = () => import("@/features/dealer-side/keep-side");

/**
 * The keys of every page, at its side: the dealer's side is opened and closed by `Ctrl .`, and the sheet of keys on pages that
 * have no palette of their own by `Ctrl /`.
 */
export function KeysAnywhere() {
  const [isOpen, setOpen] = useState(false);
  const before = useRef<Element | null>(null);
  const isSideOpen = useSide();
  useEffect(() => {
    if (sessionStorage.getItem(SIDE_UNTIL)) void loadSide().then(({ resumeSide }) => resumeSide());
    const press = (event: KeyboardEvent) => {
      const { key, ctrlKey, metaKey, altKey } = event;
      const isSide = key === ".";
      if (!(ctrlKey || metaKey) || altKey || !(isSide || key === "/")) return;
      if (!isSide && document.querySelector("[data-testid=desk]")) return;
      event.preventDefault();
      if (isSide) return void loadSide().then(({ toggleSide }) => toggleSide());
      before.current = document.activeElement;
      setOpen(now => !now);
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
  return (
    <Suspense fallback={null}>
      {isSideOpen && <SidePlaces />}
      {isOpen && (
        <div className="fixed top-2 right-3 z-50">
          <Shortcuts
            onClose={isBack => {
              setOpen(false);
              if (isBack) (before.current as HTMLElement | null)?.focus();
            }}
          />
        </div>
      )}
    </Suspense>
  );
}
