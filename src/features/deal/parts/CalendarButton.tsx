import { CalendarDays } from "lucide-react";
import { lazy, Suspense, useRef, useState } from "react";
import { type FieldName, fieldOf } from "../fields";

const DayCalendar = lazy(() =>
  import("./DayCalendar").then(({ DayCalendar: calendar }) => ({ default: calendar })),
);

const WIDTH = 300;
const HEIGHT = 320;

/** Opens a small calendar beside a date's field, to pick the day instead of typing it. */
export function CalendarButton({ field, label }: { field: FieldName; label: string }) {
  const panel = useRef<HTMLDivElement>(null);
  const button = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  const open = () => {
    const place = button.current?.getBoundingClientRect();
    const { current } = panel;
    if (!place || !current) return;
    current.style.left = `${Math.max(8, Math.min(place.right - WIDTH, window.innerWidth - WIDTH - 8))}px`;
    const below = place.bottom + 4;
    current.style.top = `${below + HEIGHT > window.innerHeight ? Math.max(8, place.top - HEIGHT - 4) : below}px`;
    current.showPopover();
  };
  return (
    <>
      <button
        ref={button}
        type="button"
        aria-label={`Pick the ${label.toLowerCase()}`}
        aria-expanded={isOpen}
        className="absolute inset-y-0 right-1 grid w-7 cursor-pointer place-items-center rounded-field text-primary"
        onClick={open}
      >
        <CalendarDays size={15} aria-hidden="true" />
      </button>
      <div
        ref={panel}
        popover="auto"
        className="card-paper fixed inset-auto m-0 p-2 text-base-content shadow-md"
        style={{ width: WIDTH }}
        onToggle={event => setOpen(event.newState === "open")}
      >
        {isOpen && (
          <Suspense fallback={<p className="text-faint text-sm">Opening …</p>}>
            <DayCalendar
              field={field}
              label={fieldOf(field).label}
              onPicked={() => {
                panel.current?.hidePopover();
                button.current?.focus();
              }}
            />
          </Suspense>
        )}
      </div>
    </>
  );
}
