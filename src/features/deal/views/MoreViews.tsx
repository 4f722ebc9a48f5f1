import { type RefObject, useEffect, useRef } from "react";
import { useFrame } from "../desk/desk-context";
import { VIEWS, type View } from "../desk/views";

type Props = {
  views: readonly View[];
  /** The button that it hangs below. */
  beside: RefObject<HTMLElement | null>;
  /** A view is about to be wanted: a pointer or the focus is on its button. */
  onNear: (view: View) => void;
  onClose: () => void;
};

/** The views that do not stand in the bar; it closes by itself when something else is touched. */
export function MoreViews({ views, beside, onNear, onClose }: Props) {
  const { show } = useFrame();
  const panel = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const { left = 0, bottom = 0 } = beside.current?.getBoundingClientRect() ?? {};
    panel.current?.style.setProperty("inset", `${bottom + 2}px auto auto ${left}px`);
    panel.current?.showPopover();
    panel.current?.querySelector("button")?.focus();
  }, [beside]);
  return (
    <div
      ref={panel}
      popover="auto"
      className="fixed m-0 rounded-box border border-base-300 bg-base-100 py-1 text-base-content shadow-lg"
      onToggle={({ newState }) => newState === "closed" && onClose()}
    >
      {views.map(each => (
        <button
          key={each}
          type="button"
          className="block w-full cursor-pointer px-4 py-1.5 text-left hover:bg-base-200"
          onPointerEnter={() => onNear(each)}
          onFocus={() => onNear(each)}
          onClick={() => {
            panel.current?.hidePopover();
            beside.current?.focus();
            show(each);
          }}
        >
          {VIEWS[each]}
        </button>
      ))}
    </div>
  );
}
