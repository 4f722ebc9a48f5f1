import { useId, useRef } from "react";
import { useFrame } from "../desk/desk-context";
import { type ShownView, VIEWS, type View } from "../desk/views";

type Props = {
  views: readonly ShownView[];
  /** A view is about to be wanted: a pointer or the focus is on its button. */
  onNear: (view: View) => void;
};

/** The views that do not stand in the bar. */
export function MoreViews({ views, onNear }: Props) {
  const { view, show } = useFrame();
  const id = useId();
  const panel = useRef<HTMLDivElement>(null);
  const button = useRef<HTMLButtonElement>(null);
  const opened = views.find(each => each === view);
  if (views.length === 0) return null;
  return (
    <>
      <button
        ref={button}
        type="button"
        popoverTarget={id}
        aria-current={opened ? "page" : undefined}
        className={`cursor-pointer whitespace-nowrap border-b-2 px-2.5 py-1 font-semibold ${opened ? "border-primary text-primary" : "border-transparent text-faint"}`}
      >
        {opened ? VIEWS[opened] : "More views"}
      </button>
      <div
        ref={panel}
        id={id}
        popover="auto"
        className="fixed m-0 rounded-box border border-base-300 bg-base-100 py-1 shadow-lg"
        onBeforeToggle={() => {
          const { left = 0, bottom = 0 } = button.current?.getBoundingClientRect() ?? {};
          panel.current?.style.setProperty("inset", `${bottom + 2}px auto auto ${left}px`);
        }}
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
              show(each);
            }}
          >
            {VIEWS[each]}
          </button>
        ))}
      </div>
    </>
  );
}
