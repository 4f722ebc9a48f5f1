import { FINANCED_LINES, type Line } from "./lines";
import type { Reckoned } from "./reckon";
import type { Structure } from "./structure";

/** One line of the tally from the price to the loan amount, in minor units. */
export type TallyLine = Line & {
  /** The subtotal after this line. */
  running: number;
};

/**
 * The tally from the price to the loan amount.
 *
 * @param structure minor units; a missing price counts as 0
 * @param reckoned what its lines come to
 * @returns a line for each that is financed, or taken off; the last line's subtotal is the loan amount, which may be
 *   negative
 * @example
 * const structure = { price: 4185000, tradeIns: [{ allowance: 920000, owed: 1105000 }], down: { amount: 300000 } };
 * tally(structure, settle(structure)).at(-1)?.running // 4070000
 */
export function tally(structure: Structure, reckoned: Reckoned): TallyLine[] {
  let running = 0;
  const tallied: TallyLine[] = [];
  for (const { figure, sign, each } of FINANCED_LINES) {
    each(structure, reckoned, (amount, name, of) => {
      running += sign * amount;
      tallied.push({ figure, name: of === undefined ? name : `${name} (${of})`, sign, amount, running });
    });
  }
  return tallied;
}
