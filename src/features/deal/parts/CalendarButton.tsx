import { CalendarDays } from "lucide-react";
import { lazy, Suspense, useRef, useState } from "react";
import type { FieldName } from "../fields";

// Most dates are typed: the screen starts without the code for it.
const CalendarPanel = lazy(() =>
  import("./CalendarPanel").then(({ CalendarPanel: panel }) => ({ default: panel })),
);

const CALENDAR = <CalendarDays size={15} aria-hidden="true" />;

/** Opens a small calendar beside a date's field, to pick the day instead of typing it. */
export function CalendarButton({ field, label }: { field: FieldName; label: string }) {
  const button = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button
        ref={button}
        type="button"
        // The keyboard has Alt and the arrow down.
        tabIndex={-1}
        data-calendar=""
        aria-label={`Pick the ${label.toLowerCase()}`}
        aria-expanded={isOpen}
        className="absolute inset-y-0 right-1 grid w-7 cursor-pointer place-items-center rounded-field text-primary"
        onClick={() => setOpen(true)}
      >
        {CALENDAR}
      </button>
      {isOpen && (
        <Suspense fallback={null}>
          <CalendarPanel field={field} label={label} beside={button} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
