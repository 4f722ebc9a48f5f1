import { type DealDocument, isSame } from "@/exchange/deal-document";

/** A state of the deal that can be gone back to, or forward to. */
export type Step = {
  document: DealDocument;
  /** The option that was open then. */
  open: string;
  /** What is being changed since, so that more of the same is no step of its own; null once it is done with. */
  key: string | null;
};

/** The states before the present one, the latest last, and those that were gone back from, the nearest last. */
export type Steps = { past: readonly Step[]; future: readonly Step[] };

export const NO_STEPS: Steps = { past: [], future: [] };

const MOST_STEPS = 300;

/**
 * The steps after a change.
 *
 * @param before the deal before the change, and what is being changed
 */
export function stepsAfter({ past, future }: Steps, before: Step, after: DealDocument): Steps {
  if (isSame(before.document, after)) return { past, future };
  const last = past.at(-1);
  if (last === undefined || before.key === null || last.key !== before.key) {
    return { past: [...past.slice(1 - MOST_STEPS), before], future: [] };
  }
  // What was typed and taken back again is no step.
  return isSame(last.document, after) ? { past: past.slice(0, -1), future: [] } : { past, future: [] };
}

/** The steps once what was being changed is done with: the same again is a step of its own. */
export function stepsDone(steps: Steps): Steps {
  const last = steps.past.at(-1);
  if (!last || last.key === null) return steps;
  return { ...steps, past: [...steps.past.slice(0, -1), { ...last, key: null }] };
}
