import { type RefObject, useEffect, useRef } from "react";
import type { FieldName } from "../fields";
import { DayCalendar } from "./DayCalendar";

const WIDTH = 300;
const HEIGHT = 320;

type Props = {
  field: FieldName;
  label: string;
  /** What it stands below, or above where there is no room. */
  beside: RefObject<HTMLElement | null>;
  onClose: () => void;
};

/** A small calendar that closes by itself when something else is touched. */
export function CalendarPanel({ field, label, beside, onClose }: Props) {
  const panel = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const place = beside.current?.getBoundingClientRect();
    const { current } = panel;
    if (!place || !current) return;
    current.style.left = `${Math.max(8, Math.min(place.right - WIDTH, window.innerWidth - WIDTH - 8))}px`;
    const below = place.bottom + 4;
    current.style.top = `${below + HEIGHT > window.innerHeight ? Math.max(8, place.top - HEIGHT - 4) : below}px`;
    current.showPopover();
  }, [beside]);
  return (
    <div
      ref={panel}
      popover="auto"
      className="card-paper fixed inset-auto m-0 p-2 text-base-content shadow-md"
      style={{ width: WIDTH }}
      onToggle={event => {
        if (event.newState === "closed") onClose();
      }}
    >
      <DayCalendar
        field={field}
        label={label}
        onPicked={() => {
          panel.current?.hidePopover();
          beside.current?.focus();
        }}
      />
    </div>
  );
}
