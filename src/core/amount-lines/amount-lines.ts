/** A line of the structure that is one amount, the same for a loan and a lease. */
type AmountLine = {
  /** What it is where it is typed: "Deposit". */
  label: string;
  /** What it is called in a tally, a sentence and a formula, unless it is given another name: "deposit paid". */
  name: string;
  /** Whether it is added to what is financed or capitalized, or taken off. */
  sign: 1 | -1;
  /** 1 where the customer gives it, so that it counts in the total cost beside the payments; 0 where nobody does. */
  ownCost: 1 | 0;
};

/**
 * The lines that are one amount, in their order: the one place that knows them. What reads, writes, checks, shows and
 * sums a structure goes through this table.
 */
export const AMOUNT_LINES = {
  deposit: { label: "Deposit", name: "deposit paid", sign: -1, ownCost: 1 },
} as const satisfies Record<string, AmountLine>;

export type AmountLineName = keyof typeof AMOUNT_LINES;

export const AMOUNT_LINE_NAMES = Object.keys(AMOUNT_LINES) as AmountLineName[];

/**
 * The sum of the amount lines that something holds for, in minor units.
 *
 * @example sumOfAmounts({ deposit: 50000 }, ({ ownCost }) => ownCost > 0) // 50000
 */
export function sumOfAmounts(
  structure: { readonly [Name in AmountLineName]?: number },
  counts: (line: AmountLine) => boolean,
): number {
  let sum = 0;
  for (const name of AMOUNT_LINE_NAMES) if (counts(AMOUNT_LINES[name])) sum += structure[name] ?? 0;
  return sum;
}
