import { useState } from "react";
import type { WorkingStep } from "@/core";
import { WorkingSteps } from "@/features/figures/WorkingSteps";
import { useNotation } from "../option/option-context";

type Props = {
  /** Of what the working is. */
  of: string;
  working: () => WorkingStep;
};

/** How a figure came about, in place, where it is asked for; it follows the figure while it is open. */
export function How({ of, working }: Props) {
  const { say } = useNotation();
  const [isOpen, setOpen] = useState(false);
  return (
    <div>
      <button
        type="button"
        className="cursor-pointer font-semibold text-primary text-sm"
        aria-expanded={isOpen}
        aria-label={`Working of ${of}`}
        onClick={() => setOpen(!isOpen)}
      >
        How {isOpen ? "▾" : "▸"}
      </button>
      {isOpen && (
        <section
          aria-label={`How ${of} comes about`}
          className="mt-1 overflow-auto rounded-box border-primary border-l-4 py-1 pl-3 text-sm leading-snug"
        >
          <WorkingSteps step={working()} say={say} />
        </section>
      )}
    </div>
  );
}
