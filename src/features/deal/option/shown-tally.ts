import type { CapitalizedLine, Reckoned, StructureFigure, TallyLine } from "@/core";
import { loadedLease, loadedLoan } from "./loaded";
import { hasErrors, isStale, type OptionState, shownQuote } from "./option-state";

/** The running tally as it is shown, and what it leads to; money in minor units. */
export type Tally = {
  /** Empty while the price is missing. */
  lines: readonly (TallyLine | CapitalizedLine)[];
  /** What fees, extras and taxes come to. */
  reckoned: Pick<Reckoned, "price" | "total" | "fees" | "extras" | "taxes"> | null;
  /** Of a lease its adjusted capitalized cost, as the amount financed. */
  loanAmount: number | undefined;
  amountFinanced: number | undefined;
  /** What is due at signing, once there is an answer. */
  due: number | undefined;
  /** Whether it is the last that held, and does not follow from what is typed any more. */
  stale: boolean;
};

const NOTHING = {
  lines: [],
  reckoned: null,
  loanAmount: undefined,
  amountFinanced: undefined,
  due: undefined,
};

/**
 * The tally from the price to what is financed: of the answer where there is one, else of what is typed, as far as it
 * needs no answer; else the last that held.
 */
export function shownTally(state: OptionState): Tally {
  const known = tallies.get(state);
  if (known) return known;
  const tally = tallyNow(state);
  tallies.set(state, tally);
  return tally;
}

/** Many lines show it, of one state. */
const tallies = new WeakMap<OptionState, Tally>();

function tallyNow(state: OptionState): Tally {
  const draft = draftOf(state);
  if (draft) return { ...draft, stale: hasErrors(state.errors) };
  return { ...(heldTally(state) ?? NOTHING), stale: isStale(state) };
}

function draftOf(state: OptionState): Omit<Tally, "stale"> | undefined {
  if (state.answer.ok || !state.deal.ok) return undefined;
  return state.kind === "loan"
    ? loadedLoan().tallyOfLoanDraft(state.deal.value)
    : loadedLease().tallyOfLeaseDraft(state.deal.value);
}

function heldTally(state: OptionState): Omit<Tally, "stale"> | undefined {
  if (state.kind === "loan") {
    const quote = shownQuote(state);
    return quote ? loadedLoan().tallyOfLoan(quote) : undefined;
  }
  const quote = shownQuote(state);
  return quote ? loadedLease().tallyOfLease(quote) : undefined;
}

/** The amount of a line of a tally in minor units; undefined where it is not known. */
export function amountOf({ lines }: Pick<Tally, "lines">, figure: StructureFigure): number | undefined {
  return lines.find(line => line.figure === figure)?.amount;
}
