import { Eye } from "lucide-react";
import type { PAPER_FACTS } from "@/exchange/papers/paper-kinds";

const LOOK = <Eye size={16} aria-hidden="true" />;
const FILES = { pdf: "PDF", ics: "iCalendar", eml: "e-mail", xlsx: "XLSX" } as const;

type Props = {
  facts: (typeof PAPER_FACTS)[keyof typeof PAPER_FACTS];
  /** Why there is none; left out where there is. */
  none: string | undefined;
  isDisabled: boolean;
  isLookedAt: boolean;
  onMake: () => void;
  /** Left out where it cannot be looked at. */
  onLook?: (() => void) | undefined;
};

/** A paper that can be made, or looked at before; or why it cannot. */
export function PaperLine({ facts, none, isDisabled, isLookedAt, onMake, onLook }: Props) {
  const { name, ending, says } = facts;
  const isOff = isDisabled || none !== undefined;
  return (
    <div>
      <div className="flex gap-1">
        <button
          type="button"
          className="btn btn-sm min-w-0 grow justify-start"
          disabled={isOff}
          onClick={onMake}
        >
          {name} ({FILES[ending]})
        </button>
        {onLook && (
          <button
            type="button"
            className="btn btn-ghost btn-sm px-2"
            disabled={isOff}
            aria-pressed={isLookedAt}
            title={`Look at it: ${name}`}
            onClick={onLook}
          >
            {LOOK}
            <span className="sr-only">Preview of {name}</span>
          </button>
        )}
      </div>
      <p className="mt-0.5 text-faint text-sm">{none ?? says}</p>
    </div>
  );
}
