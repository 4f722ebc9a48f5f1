import { type ReactNode, useEffect, useRef } from "react";

type Props = {
  label: string;
  /** Whether the focus goes back to where it was. */
  onClose: (isBack: boolean) => void;
  /** Whether it opens to the right of its button, and not to the left. */
  isRightwards?: boolean;
  children: ReactNode;
};

/** Something that opens under its button, and closes with Escape or a press elsewhere. */
export function Panel({ label, onClose, isRightwards = false, children }: Props) {
  const panel = useRef<HTMLElement>(null);
  useEffect(() => {
    const press = (event: PointerEvent) => {
      const isInside = panel.current?.parentElement?.contains(event.target as Node);
      if (!isInside) onClose(false);
    };
    window.addEventListener("pointerdown", press);
    return () => window.removeEventListener("pointerdown", press);
  }, [onClose]);
  return (
    <section
      ref={panel}
      aria-label={label}
      className={`card-paper absolute top-full z-40 mt-1 flex max-h-[70dvh] w-[34rem] max-w-[92vw] flex-col shadow-xl max-md:fixed max-md:inset-x-2 max-md:top-2 max-md:w-auto ${isRightwards ? "left-0" : "right-0"}`}
      onKeyDown={event => {
        if (event.key !== "Escape") return;
        event.stopPropagation();
        onClose(true);
      }}
    >
      {children}
    </section>
  );
}
