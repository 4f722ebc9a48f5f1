import { type StructureFigure, type TallyLine, tally } from "@/core";
import { hasErrors, isStale, type OptionState, shownQuote } from "./option-state";

/** The running tally as it is shown. */
export type Tally = {
  /** Empty while the price is missing. */
  lines: TallyLine[];
  /** By how much the trade-in is worth less than is owed on it, in minor units; below zero where it is not. */
  shortfall: number;
  /** A finance charge paid at signing, in minor units: it is not financed, although the note says so. */
  prepaidCharge: number;
  stale: boolean;
};

/**
 * The tally from the price to the amount financed. It needs no plan, so it is there before the rate and the
 * term are typed; where a line of it is being found, it is the shown answer's.
 */
export function shownTally(state: OptionState): Tally {
  const { deal, errors } = state;
  const quote = shownQuote(state);
  const answered = quote ? tally(quote.filled.structure) : [];
  if (!deal.ok) return { lines: answered, shortfall: 0, prepaidCharge: 0, stale: true };
  const { structure, find, plan } = deal.value;
  const prepaidCharge = plan.prepaidCharge ?? 0;
  const isOpen = structure.price === null || structure.down === null || find === "allowance";
  const lines = isOpen ? answered : tally(structure);
  const { allowance, owed } = find === "allowance" ? tradeInOf(lines) : structure.tradeIn;
  return {
    lines,
    shortfall: owed - allowance,
    prepaidCharge,
    stale: isOpen ? isStale(state) : hasErrors(errors),
  };
}

/** The amount of a line of a tally in minor units; undefined where it is not known. */
export function amountOf({ lines }: Pick<Tally, "lines">, figure: StructureFigure): number | undefined {
  return lines.find(line => line.figure === figure)?.amount;
}

function tradeInOf(lines: TallyLine[]): { allowance: number; owed: number } {
  return { allowance: amountOf({ lines }, "allowance") ?? 0, owed: amountOf({ lines }, "owed") ?? 0 };
}
