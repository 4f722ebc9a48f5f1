import { Redo2, Undo2 } from "lucide-react";
import { useCallback, useEffect, useMemo, useRef } from "react";
import { isSame } from "@/exchange/deal-document";
import { changePhrase, changesInWords } from "@/exchange/option-words";
import { useKeys } from "@/features/focus/use-keys";
import { hasErrors } from "../option";
import { useNotation } from "../option/option-context";
import { whenThere } from "../option/use-kinds";
import { useDesk } from "./desk-context";
import { deskDocument, openedOption } from "./desk-state";
import { forgetSteps, keepSteps, keptSteps } from "./kept-steps";
import type { Step } from "./steps";
import { useRested } from "./use-rested";

const KEEP_AFTER = 800;

const UNDO = <Undo2 size={17} aria-hidden="true" />;
const REDO = <Redo2 size={17} aria-hidden="true" />;

/** Takes back what was done, or does it again, each said in words; the steps outlive a reload of the page. */
export function UndoRedo({ dealId }: { dealId: string }) {
  const { state, dispatch } = useDesk();
  const { say } = useNotation();
  const { past, future } = state.steps;
  const isTyping = openedOption(state).edit !== null;
  const document = useRested(
    useMemo(() => deskDocument(state), [state]),
    isTyping,
  );
  const [back, forth] = [past.at(-1), future.at(-1)];
  const go = useCallback(
    (type: "undo" | "redo", step: Step | undefined) => {
      // It may bring an option back of a kind that this page has not shown yet.
      const options = step?.document.options ?? [];
      whenThere(
        options.map(({ inputs }) => inputs),
        kinds => dispatch({ type, kinds }),
      );
    },
    [dispatch],
  );
  useKeptSteps(dealId);
  useKeys(event => {
    if (event.key.toLowerCase() !== "z" || !(event.ctrlKey || event.metaKey) || event.altKey) return;
    // What is typed for a moment, and is no part of the deal, has the browser's own undo.
    if ((event.target as Element).closest("[data-own-undo]")) return;
    event.preventDefault();
    if (event.shiftKey) go("redo", forth);
    else go("undo", back);
  });
  const isUnreadable = hasErrors(openedOption(state).errors);
  const undone = isUnreadable ? "what cannot be read" : back && words(back.document, document);
  const redone = forth && words(document, forth.document);
  return (
    <>
      <StepButton name="Undo" words={undone && say(undone)} onClick={() => go("undo", back)}>
        {UNDO}
      </StepButton>
      <StepButton name="Redo" words={redone && say(redone)} onClick={() => go("redo", forth)}>
        {REDO}
      </StepButton>
    </>
  );
}

/** What was changed from one state to the next: the first of it, and how much besides. */
function words(before: Step["document"], after: Step["document"]): string {
  const [first, ...others] = changesInWords(before, after);
  if (!first) return "the last change";
  return `${changePhrase(first, false)}${others.length > 0 ? ` and ${others.length} more` : ""}`;
}

/** Keeps the steps for this page's next load, and takes up those of the last one where the deal is as it was then. */
function useKeptSteps(dealId: string): void {
  const { state, dispatch } = useDesk();
  const { steps } = state;
  const now = useRef(state);
  now.current = state;
  const waiting = useRef(keptSteps(dealId));
  useEffect(() => {
    const kept = waiting.current;
    const isChanged = state.steps.past.length > 0;
    if (!kept || isChanged) {
      waiting.current = undefined;
      return;
    }
    // A change that was not saved yet comes a moment later than the page.
    if (!isSame(kept.present, deskDocument(state))) return;
    waiting.current = undefined;
    dispatch({ type: "steps", steps: kept.steps });
  }, [state, dispatch]);
  useEffect(() => {
    const keep = () => {
      if (waiting.current) return;
      if (steps.past.length + steps.future.length === 0) forgetSteps(dealId);
      else keepSteps(dealId, { present: deskDocument(now.current), steps });
    };
    const timer = setTimeout(keep, KEEP_AFTER);
    window.addEventListener("pagehide", keep);
    return () => {
      clearTimeout(timer);
      window.removeEventListener("pagehide", keep);
    };
  }, [dealId, steps]);
}

type ButtonProps = {
  name: string;
  /** What it does; undefined where there is nothing to do. */
  words: string | undefined;
  onClick: () => void;
  children: React.ReactNode;
};

function StepButton({ name, words: what, onClick, children }: ButtonProps) {
  const label = what ? `${name}: ${what}` : `${name}: nothing`;
  return (
    <button
      type="button"
      className="btn btn-ghost btn-sm btn-square"
      title={what ? `${label} (Ctrl ${name === "Undo" ? "" : "Shift "}Z)` : undefined}
      aria-disabled={what === undefined}
      onClick={onClick}
    >
      {children}
      <span className="sr-only">{label}</span>
    </button>
  );
}
