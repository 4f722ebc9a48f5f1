import { useEffect, useRef } from "react";
import type { LeaseQuote, Quote, WorkedFigure, WorkedLeaseFigure, WorkingStep } from "@/core";
import { leaseWorking, working } from "@/core/working";
import { useNotation } from "../option/option-context";

/** The working of a figure of an answer. */
export function workingOf(quote: Quote | LeaseQuote, figure: WorkedFigure | WorkedLeaseFigure): WorkingStep {
  return quote.kind === "lease"
    ? leaseWorking(quote, figure as WorkedLeaseFigure)
    : working(quote, figure as WorkedFigure);
}

type Props = { step: WorkingStep; name: string; onClose: () => void };

/** How a figure came about, with its numbers filled in. */
export function WorkingDialog({ step, name, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <dialog ref={dialog} className="modal" aria-label={`Working of the ${name}`} onClose={onClose}>
      <div className="modal-box max-w-3xl font-normal text-base text-base-content">
        <Step step={step} level={0} />
        <form method="dialog" className="modal-action">
          <button type="submit" className="btn btn-sm">
            Close
          </button>
        </form>
      </div>
      <form method="dialog" className="modal-backdrop">
        <button type="submit" tabIndex={-1} aria-hidden="true">
          Close
        </button>
      </form>
    </dialog>
  );
}

function Step({ step, level }: { step: WorkingStep; level: number }) {
  const { say } = useNotation();
  return (
    <section className={level > 0 ? "mt-3 border-base-300 border-l-2 pl-4" : ""}>
      <div className="flex items-baseline justify-between gap-4">
        {level === 0 ? (
          <h2 className="font-semibold text-xl">{step.name}</h2>
        ) : (
          <h3 className="font-semibold">{step.name}</h3>
        )}
        <span className={`whitespace-nowrap font-semibold ${level === 0 ? "text-xl" : ""}`}>
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
