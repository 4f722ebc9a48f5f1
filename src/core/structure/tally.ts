import { STRUCTURE_LINES, type StructureFigure } from "./lines";
import type { Structure } from "./structure";

/** One line of the tally from the price to the loan amount, in minor units. */
export type TallyLine = {
  figure: StructureFigure;
  sign: 1 | -1;
  amount: number;
  /** The subtotal after this line. */
  running: number;
};

/**
 * The tally from the price to the loan amount.
 *
 * @param structure minor units; a missing price counts as 0
 * @returns one line for each figure; the last line's subtotal is the loan amount, which may be negative
 * @example
 * const structure = { price: 4185000, tradeIn: { allowance: 920000, owed: 1105000 }, down: { amount: 300000 } };
 * tally(structure).at(-1)?.running // 4070000
 */
export function tally(structure: Structure): TallyLine[] {
  let running = 0;
  return STRUCTURE_LINES.map(({ figure, sign, amount: amountOf }) => {
    const amount = amountOf(structure);
    running += sign * amount;
    return { figure, sign, amount, running };
  });
}

/**
 * What a structure leaves to finance, in minor units; below zero where it is more than covered.
 *
 * @param structure minor units; a missing price or cash down counts as 0
 * @example loanAmountOf({ price: 10000, tradeIn: { allowance: 0, owed: 0 }, down: { percent: "20" } }) // 8000
 */
export function loanAmountOf(structure: Structure): number {
  let sum = 0;
  for (const { sign, amount } of STRUCTURE_LINES) sum += sign * amount(structure);
  return sum;
}

/**
 * What leaves the customer's pocket besides the payments, less what was owed anyway, in minor units.
 *
 * @example ownCost({ price: 10000, tradeIn: { allowance: 500, owed: 200 }, down: { amount: 300 } }) // 600
 */
export function ownCost(structure: Structure): number {
  let sum = 0;
  for (const { ownCost: counts, amount } of STRUCTURE_LINES)
    if (counts !== 0) sum += counts * amount(structure);
  return sum;
}
