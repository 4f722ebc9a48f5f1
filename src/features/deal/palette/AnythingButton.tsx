import { lazy, memo, Suspense, useRef, useState } from "react";
import { useKeys } from "@/features/focus/use-keys";

// Asked for now and then: the screen starts without the code for it.
const Palette = lazy(() => import("./Palette").then(({ Palette: palette }) => ({ default: palette })));

/** Everything that can be done, by its name: `Ctrl K`. */
export const AnythingButton = memo(function AnythingButton() {
  const [isOpen, setOpen] = useState(false);
  const before = useRef<Element | null>(null);
  const show = () => {
    before.current = document.activeElement;
    setOpen(!isOpen);
  };
  const close = (isBack: boolean) => {
    setOpen(false);
    if (isBack) (before.current as HTMLElement | null)?.focus();
  };
  useKeys(event => {
    if (event.key.toLowerCase() !== "k" || !(event.ctrlKey || event.metaKey) || event.altKey) return;
    event.preventDefault();
    show();
  });
  return (
    <div className="relative">
      <button
        type="button"
        aria-expanded={isOpen}
        aria-keyshortcuts="Control+K"
        className="btn btn-sm border-base-300 bg-base-100 font-normal text-faint"
        onClick={show}
      >
        Do anything
        <kbd className="kbd kbd-sm max-md:hidden">Ctrl K</kbd>
      </button>
      <Suspense fallback={null}>{isOpen && <Palette onClose={close} />}</Suspense>
    </div>
  );
});
