import { ListTree } from "lucide-react";
import { type ComponentType, useContext, useRef, useState } from "react";
import { createPortal } from "react-dom";
import type { WorkedFigure, WorkedLeaseFigure } from "@/core";
import { notify } from "@/features/notices/notify";
import { shownQuote } from "../option";
import { useOption } from "../option/option-context";
import type { WorkingProps } from "./Working";
import { WorkingPlace } from "./WorkingsHere";

/** A figure of a loan, or of a lease, that can show its working. */
export type AnyWorkedFigure = WorkedFigure | WorkedLeaseFigure;

type Shown = { Working: ComponentType<WorkingProps> };

const TREE = <ListTree size={15} aria-hidden="true" />;

/** Opens the working of a figure under it, or closes it: how it came about, with its numbers filled in. */
export function WorkingButton({ figure, name }: { figure: AnyWorkedFigure; name: string }) {
  const { option } = useOption();
  const place = useContext(WorkingPlace);
  const button = useRef<HTMLButtonElement>(null);
  const [shown, setShown] = useState<Shown | null>(null);
  const quote = shownQuote(option);
  if (!quote) return null;
  const close = () => {
    setShown(null);
    button.current?.focus();
  };
  const toggle = async () => {
    if (shown) setShown(null);
    else setShown((await loadedWorking()) ?? null);
  };
  return (
    <>
      <button
        ref={button}
        type="button"
        aria-label={`Working of the ${name}`}
        aria-expanded={shown !== null}
        title={shown ? "Close the working" : "Show how it comes about"}
        className={`print:hidden grid size-6 shrink-0 cursor-pointer place-items-center rounded-field text-primary hover:bg-base-200 ${shown ? "bg-base-200" : ""}`}
        onClick={() => void toggle()}
        onKeyDown={event => event.key === "Escape" && close()}
      >
        {TREE}
      </button>
      {shown &&
        place &&
        createPortal(<shown.Working quote={quote} figure={figure} name={name} onClose={close} />, place)}
    </>
  );
}

/** Workings are asked for now and then: the screen starts without the code for them. */
async function loadedWorking(): Promise<Shown | undefined> {
  try {
    return await import("./Working");
  } catch {
    notify.error("The working could not be loaded, because the server is away. Try again when it is back.");
    return undefined;
  }
}
