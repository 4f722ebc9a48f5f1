import type { CapitalizedFigure, StructureFigure } from "@/core";

/** A line of a tally, in minor units. */
type Line = { figure: StructureFigure | CapitalizedFigure; sign: 1 | -1; amount: number };

/** What an amount is made of. */
const PARTS = {
  price: ["price"],
  taxes: ["tax"],
  "fees and extras": ["fee", "extra", "acquisitionFee"],
  "owed on the trade-in": ["owed", "equity"],
} as const satisfies Record<string, readonly Line["figure"][]>;

export type AmountPart = {
  name: keyof typeof PARTS;
  /** Minor units. */
  amount: number;
  /** Where it begins and ends, as a share of the whole. */
  from: number;
  to: number;
};

/**
 * What is financed or capitalized before anything is taken off, part by part, side by side.
 *
 * @param lines of a tally
 * @returns every part in order, also one that comes to nothing; none where all do
 * @example amountBar(tally.lines)[0] // { name: "price", amount: 4185000, from: 0, to: 0.91… }
 */
export function amountBar(lines: readonly Line[]): AmountPart[] {
  const names = Object.keys(PARTS) as AmountPart["name"][];
  const sums = names.map(name => {
    const figures: readonly string[] = PARTS[name];
    return lines
      .filter(({ figure, sign }) => sign > 0 && figures.includes(figure))
      .reduce((sum, { amount }) => sum + amount, 0);
  });
  const total = sums.reduce((sum, each) => sum + each, 0);
  if (total === 0) return [];
  let end = 0;
  return names.map((name, index) => {
    const amount = sums[index] ?? 0;
    const from = end / total;
    end += amount;
    return { name, amount, from, to: end / total };
  });
}
