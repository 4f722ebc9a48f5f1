import { CAPITALIZED_LINES, type CapitalizedAmounts, type CapitalizedFigure, type Line } from "./lines";
import type { Structure } from "./structure";

/** One line of the tally down to an adjusted capitalized cost, in minor units. */
export type CapitalizedLine = Line<CapitalizedFigure> & {
  /** The subtotal after this line. */
  running: number;
};

/** What the lines are made of, with the acquisition fee where it is capitalized. */
type Amounts = CapitalizedAmounts & { acquisitionFee: number | null };

/**
 * The tally from the agreed price to the adjusted capitalized cost: what is capitalized, then what lowers it.
 *
 * @param amounts what its lines come to
 * @returns a line for each that there is, with the subtotal after it
 */
export function capitalizedTally(structure: Structure, amounts: Amounts): CapitalizedLine[] {
  const lines: CapitalizedLine[] = [];
  let running = 0;
  for (const { figure, sign, each } of CAPITALIZED_LINES) {
    each(structure, amounts, (amount, name) => {
      running += sign * amount;
      lines.push({ figure, name, sign, amount, running });
    });
  }
  return lines;
}

/**
 * The sums of the same lines, in minor units.
 *
 * @returns what is capitalized, and what lowers it
 */
export function capitalizedSums(
  structure: Structure,
  amounts: Amounts,
): { gross: number; reduction: number } {
  let gross = 0;
  let reduction = 0;
  for (const { sign, each } of CAPITALIZED_LINES) {
    each(structure, amounts, amount => {
      if (sign > 0) gross += amount;
      else reduction += amount;
    });
  }
  return { gross, reduction };
}
