import { lazy, memo, Suspense, useEffect, useRef, useState } from "react";

// Asked for now and then: the screen starts without the code for it.
const Anything = lazy(() => import("./Anything").then(({ Anything: anything }) => ({ default: anything })));

/** What is open: all that can be done, or the keys for it. */
type Panel = "palette" | "shortcuts";

/** Everything that can be done, by its name: `Ctrl K`; and the keys for it: `Ctrl /`. */
export const AnythingButton = memo(function AnythingButton() {
  const [open, setOpen] = useState<Panel | null>(null);
  const before = useRef<Element | null>(null);
  const show = (panel: Panel) => {
    before.current = document.activeElement;
    setOpen(open === panel ? null : panel);
  };
  const close = (isBack: boolean) => {
    setOpen(null);
    if (isBack) (before.current as HTMLElement | null)?.focus();
  };
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const panel = { k: "palette", "/": "shortcuts" }[event.key.toLowerCase()] as Panel | undefined;
      if (!panel) return;
      event.preventDefault();
      show(panel);
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  });
  return (
    <div className="relative">
      <button
        type="button"
        aria-expanded={open === "palette"}
        aria-keyshortcuts="Control+K"
        className="btn btn-sm border-base-300 bg-base-100 font-normal text-faint"
        onClick={() => show("palette")}
      >
        Do anything
        <kbd className="kbd kbd-sm max-md:hidden">Ctrl K</kbd>
      </button>
      <Suspense fallback={null}>
        {open && <Anything panel={open} onClose={close} onPanel={setOpen} />}
      </Suspense>
    </div>
  );
});
