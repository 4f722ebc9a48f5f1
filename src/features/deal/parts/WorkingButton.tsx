import { Calculator } from "lucide-react";
import { type ComponentType, useState } from "react";
import type { Quote, WorkedFigure } from "@/core";
import { notify } from "@/features/notices/notify";
import { shownQuote } from "../option";
import { useOption } from "../option/option-context";

type DialogProps = { quote: Quote; figure: WorkedFigure; name: string; onClose: () => void };
type Shown = { Dialog: ComponentType<DialogProps>; quote: Quote };

/** Opens the working of a figure: how it came about, with its numbers filled in. */
export function WorkingButton({ figure, name }: { figure: WorkedFigure; name: string }) {
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
          const Dialog = await loadedDialog();
          if (Dialog) setShown({ Dialog, quote });
        }}
      >
        <Calculator size={15} aria-hidden="true" />
      </button>
      {shown && (
        <shown.Dialog quote={shown.quote} figure={figure} name={name} onClose={() => setShown(null)} />
      )}
    </>
  );
}

/** Workings are asked for now and then: the screen starts without the code for them. */
async function loadedDialog(): Promise<ComponentType<DialogProps> | undefined> {
  try {
    return (await import("./WorkingDialog")).WorkingDialog;
  } catch {
    notify.error("The working could not be loaded, because the server is away. Try again when it is back.");
    return undefined;
  }
}
