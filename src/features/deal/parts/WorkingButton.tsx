import { Calculator } from "lucide-react";
import { type ComponentType, useState } from "react";
import type { LeaseQuote, Quote, WorkedFigure, WorkedLeaseFigure, WorkingStep } from "@/core";
import { notify } from "@/features/notices/notify";
import { shownQuote } from "../option";
import { useOption } from "../option/option-context";

/** A figure of a loan, or of a lease, that can show its working. */
export type AnyWorkedFigure = WorkedFigure | WorkedLeaseFigure;

type Loaded = {
  WorkingDialog: ComponentType<{ step: WorkingStep; name: string; onClose: () => void }>;
  workingOf: (quote: Quote | LeaseQuote, figure: AnyWorkedFigure) => WorkingStep;
};
type Shown = { Dialog: Loaded["WorkingDialog"]; step: WorkingStep };

/** Opens the working of a figure: how it came about, with its numbers filled in. */
export function WorkingButton({ figure, name }: { figure: AnyWorkedFigure; name: string }) {
  const { option } = useOption();
  const [shown, setShown] = useState<Shown | null>(null);
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
          const loaded = await loadedWorkings();
          if (loaded) setShown({ Dialog: loaded.WorkingDialog, step: loaded.workingOf(quote, figure) });
        }}
      >
        <Calculator size={15} aria-hidden="true" />
      </button>
      {shown && <shown.Dialog step={shown.step} name={name} onClose={() => setShown(null)} />}
    </>
  );
}

/** Workings are asked for now and then: the screen starts without the code for them. */
async function loadedWorkings(): Promise<Loaded | undefined> {
  try {
    return await import("./WorkingDialog");
  } catch {
    notify.error("The working could not be loaded, because the server is away. Try again when it is back.");
    return undefined;
  }
}
