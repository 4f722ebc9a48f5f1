import { Calculator } from "lucide-react";
import { useRef, useState } from "react";
import type { Quote, WorkedFigure, WorkingStep } from "@/core";
import { notify } from "@/features/notices/notify";
import { shownQuote } from "../option";
import { useNotation, useOption } from "../option/option-context";

/** Opens the working of a figure: how it came about, with its numbers filled in. */
export function WorkingButton({ figure, name }: { figure: WorkedFigure; name: string }) {
  const { option } = useOption();
  const dialog = useRef<HTMLDialogElement>(null);
  const [step, setStep] = useState<WorkingStep | null>(null);
  const quote = shownQuote(option);
  if (!quote) return null;
  return (
    <>
      <button
        type="button"
        aria-label={`Working of the ${name}`}
        title="Show the working"
        className="grid size-6 cursor-pointer place-items-center rounded-field text-primary hover:bg-base-200"
        onClick={async () => {
          const shown = await workingOf(quote, figure);
          if (!shown) return;
          setStep(shown);
          dialog.current?.showModal();
        }}
      >
        <Calculator size={15} aria-hidden="true" />
      </button>
      <dialog
        ref={dialog}
        className="modal"
        aria-label={`Working of the ${name}`}
        onClose={() => setStep(null)}
      >
        <div className="modal-box max-w-3xl font-normal text-base text-base-content">
          {step && <Step step={step} level={0} />}
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
    </>
  );
}

/** Workings are asked for now and then: the screen starts without the code for them. */
async function workingOf(quote: Quote, figure: WorkedFigure): Promise<WorkingStep | undefined> {
  try {
    const { working } = await import("@/core/working");
    return working(quote, figure);
  } catch {
    notify.error("The working could not be loaded, because the server is away. Try again when it is back.");
    return undefined;
  }
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
