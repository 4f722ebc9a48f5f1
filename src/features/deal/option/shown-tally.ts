import type { Deal, Quote, StructureFigure } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import type { DeskKind, DeskTally } from "./desk-kind";
import { hasErrors, isStale, type OptionState, shownQuote } from "./option-state";

/** The running tally as it is shown: no lines while the price is missing. */
export type Tally = DeskTally & {
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

function draftOf(state: OptionState): DeskTally | undefined {
  if (state.answer.ok || !state.deal.ok) return undefined;
  return kindOf(state).draftTally(state.deal.value);
}

function heldTally(state: OptionState): DeskTally | undefined {
  const quote = shownQuote(state);
  return quote ? kindOf(state).tally(quote) : undefined;
}

/** An option's kind, whose deals and answers are the option's own. */
const kindOf = ({ desk }: OptionState) => desk as DeskKind<string, DealFile, Deal, Quote>;

/** The amount of a line of a tally in minor units; undefined where it is not known. */
export function amountOf({ lines }: Pick<Tally, "lines">, figure: StructureFigure): number | undefined {
  return lines.find(line => line.figure === figure)?.amount;
}
