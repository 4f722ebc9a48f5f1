import {
  type LeaseLine,
  prepaidCharges,
  type Reckoned,
  type StructureFigure,
  settle,
  type TallyLine,
  tally,
} from "@/core";
import { hasErrors, isStale, type OptionState, shownQuote } from "./option-state";
import { loadedLease } from "./rest";

/** The running tally as it is shown, and what it leads to; money in minor units. */
export type Tally = {
  /** Empty while the price is missing. */
  lines: readonly (TallyLine | LeaseLine)[];
  /** What fees, extras and taxes come to. */
  reckoned: Pick<Reckoned, "price" | "total" | "fees" | "extras" | "taxes"> | null;
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
 * The tally from the price to the amount financed: of the answer where there is one. It needs no plan, so where there is
 * none yet it is there before the rate and the term are typed, unless a line of it is being found.
 */
export function shownTally(state: OptionState): Tally {
  if (state.kind === "lease") {
    const { tallyOfDraft, tallyOfLease } = loadedLease();
    const draft = state.answer.ok ? undefined : tallyOfDraft(state.deal);
    if (draft) return { ...draft, stale: hasErrors(state.errors) };
    const quote = shownQuote(state);
    return { ...(quote ? tallyOfLease(quote) : NOTHING), stale: isStale(state) };
  }
  const { deal, answer, errors } = state;
  const quote = shownQuote(state);
  if (!answer.ok && deal.ok) {
    const { structure, find } = deal.value;
    const isOpen = structure.price === null || structure.down === null || find === "allowance";
    if (!isOpen) {
      const reckoned = settle(structure);
      const { loanAmount } = reckoned;
      const prepaid = deal.value.plan.prepaidCharge ?? 0;
      return {
        lines: tally(structure, reckoned),
        reckoned,
        loanAmount,
        amountFinanced: loanAmount - prepaid - prepaidCharges(structure, reckoned),
        due: undefined,
        stale: hasErrors(errors),
      };
    }
  }
  if (!quote) return { ...NOTHING, stale: true };
  const { lines, reckoned, loanAmount, amountFinanced, dueAtSigning } = quote;
  return { lines, reckoned, loanAmount, amountFinanced, due: dueAtSigning.total, stale: isStale(state) };
}

/** The amount of a line of a tally in minor units; undefined where it is not known. */
export function amountOf({ lines }: Pick<Tally, "lines">, figure: StructureFigure): number | undefined {
  return lines.find(line => line.figure === figure)?.amount;
}
