"use client";

import { lazy, Suspense, useEffect, useRef, useState } from "react";

// Asked for now and then: a page starts without the code for it.
const Shortcuts = lazy(() =>
  import("@/features/shell/Shortcuts").then(({ Shortcuts: sheet }) => ({ default: sheet })),
);

/** The sheet of keys on pages that have no palette of their own: `Ctrl /`. */
export function KeysAnywhere() {
  const [isOpen, setOpen] = useState(false);
  const before = useRef<Element | null>(null);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const isAsked = event.key === "/" && (event.ctrlKey || event.metaKey) && !event.altKey;
      if (!isAsked || document.querySelector("[data-testid=desk]")) return;
      event.preventDefault();
      before.current = document.activeElement;
      setOpen(now => !now);
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
  return (
    <Suspense fallback={null}>
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
