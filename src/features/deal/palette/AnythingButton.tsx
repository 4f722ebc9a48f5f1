import { Search } from "lucide-react";
import { lazy, Suspense, useCallback, useEffect, useRef, useState } from "react";

// Asked for now and then: the screen starts without the code for it.
const Palette = lazy(() => import("./Palette").then(({ Palette: palette }) => ({ default: palette })));
const Shortcuts = lazy(() =>
  import("./Shortcuts").then(({ Shortcuts: shortcuts }) => ({ default: shortcuts })),
);

type Panel = "palette" | "shortcuts";

/** Everything that can be done, by its name: `Ctrl K`; and the keys for it: `Ctrl /`. */
export function AnythingButton() {
  const [open, setOpen] = useState<Panel | null>(null);
  const before = useRef<Element | null>(null);
  const show = useCallback((panel: Panel) => {
    before.current = document.activeElement;
    setOpen(now => (now === panel ? null : panel));
  }, []);
  const close = useCallback((isBack: boolean) => {
    setOpen(null);
    if (isBack) (before.current as HTMLElement | null)?.focus?.();
  }, []);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const panel = event.key.toLowerCase() === "k" ? "palette" : event.key === "/" ? "shortcuts" : null;
      if (!panel) return;
      event.preventDefault();
      show(panel);
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, [show]);
  return (
    <div className="relative">
      <button
        type="button"
        aria-expanded={open === "palette"}
        aria-keyshortcuts="Control+K"
        className="btn btn-sm border-base-300 bg-base-100 font-normal text-faint"
        onClick={() => show("palette")}
      >
        <Search size={15} aria-hidden="true" />
        Do anything
        <kbd className="kbd kbd-sm max-md:hidden">Ctrl K</kbd>
      </button>
      {open && (
        <Suspense fallback={null}>
          {open === "palette" ? (
            <Palette onClose={close} onShortcuts={() => setOpen("shortcuts")} />
          ) : (
            <Shortcuts onClose={close} />
          )}
        </Suspense>
      )}
    </div>
  );
}
