import { useMemo } from "react";
import type { LeaseQuote, Quote, WorkedFigure, WorkedLeaseFigure, WorkingStep } from "@/core";
import { leaseWorking, working } from "@/core/working";
import { useNotation } from "../option/option-context";

/** The working of a figure of an answer. */
function workingOf(quote: Quote | LeaseQuote, figure: WorkedFigure | WorkedLeaseFigure): WorkingStep {
  return quote.kind === "lease"
    ? leaseWorking(quote, figure as WorkedLeaseFigure)
    : working(quote, figure as WorkedFigure);
}

export type WorkingProps = {
  quote: Quote | LeaseQuote;
  figure: WorkedFigure | WorkedLeaseFigure;
  name: string;
  onClose: () => void;
};

/** How a figure came about, with its numbers filled in; it follows the deal while it is open. */
export function Working({ quote, figure, name, onClose }: WorkingProps) {
  const step = useMemo(() => workingOf(quote, figure), [quote, figure]);
  return (
    <section
      aria-label={`Working of the ${name}`}
      className="max-h-60 overflow-auto rounded-box border-primary border-l-4 bg-base-100 shadow-sm py-2 pr-2 pl-3 text-left font-normal text-base-content text-sm leading-snug"
      onKeyDown={event => event.key === "Escape" && onClose()}
    >
      <div className="float-right">
        <button type="button" className="btn btn-ghost btn-xs" onClick={onClose}>
          Close
          <span className="sr-only"> the working of the {name}</span>
        </button>
      </div>
      <Step step={step} level={0} />
    </section>
  );
}

function Step({ step, level }: { step: WorkingStep; level: number }) {
  const { say } = useNotation();
  return (
    <section className={level > 0 ? "mt-3 border-base-300 border-l-2 pl-4" : ""}>
      <div className="flex items-baseline gap-3">
        {level === 0 ? (
          <h2 className="font-semibold text-base">{step.name}</h2>
        ) : (
          <h3 className="font-semibold">{step.name}</h3>
        )}
        <span className={`whitespace-nowrap font-semibold ${level === 0 ? "text-base" : ""}`}>
          {say(step.result)}
        </span>
      </div>
      <p className="text-faint">= {step.formula}</p>
      <p>= {say(step.filled)}</p>
      {step.rounding && <p className="text-sm">{say(step.rounding)}</p>}
      {step.remark && <p className="mt-0.5 text-faint text-sm">{say(step.remark)}</p>}
      {step.parts.map(part => (
        <Step key={part.name} step={part} level={level + 1} />
      ))}
    </section>
  );
}
