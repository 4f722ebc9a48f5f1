import { applyChange, changeBetween, type DealChange, type DealDocument } from "@/exchange/deal-document";
import { KEPT_STEPS } from "./kept-steps-key";
import type { Step, Steps } from "./steps";

/** The steps of a deal on this page, and the state that they lead from. */
type KeptSteps = { present: DealDocument; steps: Steps };

/** A step as it is kept: what it takes to come to it from the one nearer to the present. */
type Difference = { change: DealChange; open: string };

type Written = { present: DealDocument; past: Difference[]; future: Difference[] };

/** Keeps the steps for as long as the browser keeps this page, as what differs from one to the next. */
export function keepSteps(dealId: string, { present, steps }: KeptSteps): void {
  const written: Written = {
    present,
    past: differences(present, steps.past),
    future: differences(present, steps.future),
  };
  try {
    sessionStorage.setItem(KEPT_STEPS + dealId, JSON.stringify(written));
  } catch (error) {
    console.warn("This browser keeps no steps to undo.", error);
  }
}

/** The steps that were kept; undefined where there are none. */
export function keptSteps(dealId: string): KeptSteps | undefined {
  try {
    const text = sessionStorage.getItem(KEPT_STEPS + dealId);
    if (!text) return undefined;
    const { present, past, future } = JSON.parse(text) as Written;
    return { present, steps: { past: stepsFrom(present, past), future: stepsFrom(present, future) } };
  } catch {
    return undefined;
  }
}

/** Forgets them. */
export function forgetSteps(dealId: string): void {
  sessionStorage.removeItem(KEPT_STEPS + dealId);
}

/** The nearest comes last, as it does among the steps. */
function differences(present: DealDocument, steps: readonly Step[]): Difference[] {
  return steps.map(({ document, open }, index) => ({
    change: changeBetween(steps[index + 1]?.document ?? present, document),
    open,
  }));
}

function stepsFrom(present: DealDocument, differences: readonly Difference[]): Step[] {
  const steps: Step[] = [];
  let document = present;
  for (const { change, open } of [...differences].reverse()) {
    document = applyChange(document, change);
    steps.unshift({ document, open, key: null });
  }
  return steps;
}
