import { useMemo } from "react";
import type { Quote, WorkedFigure, WorkedLeaseFigure } from "@/core";
import { working } from "@/core/deal";
import { WorkingSteps } from "@/features/figures/WorkingSteps";
import { useNotation } from "../option/option-context";

export type WorkingProps = {
  quote: Quote;
  figure: WorkedFigure | WorkedLeaseFigure;
  name: string;
  onClose: () => void;
};

/** How a figure came about, with its numbers filled in; it follows the deal while it is open. */
export function Working({ quote, figure, name, onClose }: WorkingProps) {
  const { say } = useNotation();
  const step = useMemo(() => working(quote, figure), [quote, figure]);
  return (
    <section
      aria-label={`Working of the ${name}`}
      className="max-h-60 overflow-auto rounded-box border-primary border-l-4 bg-base-100 shadow-sm py-2 pr-2 pl-3 text-left font-normal text-base-content text-sm leading-snug"
      onKeyDown={event => event.key === "Escape" && onClose()}
    >
      <div className="float-right">
        <button type="button" className="btn btn-ghost btn-xs" onClick={onClose}>
          Close
          <span className="sr-only"> how the {name} comes about</span>
        </button>
      </div>
      <WorkingSteps step={step} say={say} />
    </section>
  );
}
