import { FINANCED_LINES, type Line, type StructureFigure } from "./lines";
import type { TallyLine } from "./tally";

/** A sum in words and with its numbers filled in. */
export type SumText = { formula: string; filled: string };

/** A term of a sum: a name, and minor units. */
export type Term = Pick<Line, "name" | "sign" | "amount">;

/**
 * A sum of signed terms in words and in numbers, the first without its plus; a tally's lines say how its loan amount
 * comes about.
 *
 * @param terms in order
 * @param money writes minor units
 * @example sumText(tally(structure, settle(structure)), money).formula // "price − trade-in allowance + owed on the trade-in − cash down"
 */
export function sumText(terms: readonly Term[], money: (minor: number) => string): SumText {
  const joined = (text: (term: Term) => string) =>
    terms
      .map((term, index) => `${term.sign > 0 ? (index > 0 ? " + " : "") : " − "}${text(term)}`)
      .join("")
      .trim();
  return { formula: joined(({ name }) => name), filled: joined(({ amount }) => money(amount)) };
}

/**
 * What leaves the customer's pocket by the tally's lines, less what was owed anyway, cash first.
 *
 * @example ownCostTerms(quote.lines).map(({ name }) => name) // ["cash down", "trade-in allowance", "owed on the trade-in"]
 */
export function ownCostTerms(lines: readonly TallyLine[]): Term[] {
  const own = FINANCED_LINES.toReversed().flatMap(({ figure, ownCost }) =>
    ownCost === 0
      ? []
      : linesOf(lines, figure).map(({ name, amount }): Term => ({ name, amount, sign: ownCost })),
  );
  return own.toSorted((a, b) => b.sign - a.sign);
}

/**
 * What leaves nothing to finance, as a sentence: "The cash down and the trade-in cover the price with 12.00 over."
 *
 * @param lines of a structure with nothing left to finance
 * @param money writes minor units
 */
export function coveredText(lines: readonly TallyLine[], money: (minor: number) => string): string {
  const comesTo = (figure: StructureFigure) => linesOf(lines, figure).some(({ amount }) => amount > 0);
  const brought = FINANCED_LINES.toReversed().flatMap(line =>
    line.brought !== undefined && comesTo(line.figure) ? [line.brought] : [],
  );
  const what = lines[0]?.name ?? "price";
  if (brought.length === 0) return `The ${what} is 0.`;
  const over = -(lines.at(-1)?.running ?? 0);
  const rest = over > 0 ? ` with ${money(over)} over` : "";
  const most = brought.slice(0, -1).join(", the ");
  const list = brought.length === 1 ? brought[0] : `${most} and the ${brought.at(-1)}`;
  const added = (["tax", "fee", "extra"] as const).some(comesTo) ? " and what is added to it" : "";
  return `The ${list} ${brought.length === 1 ? "covers" : "cover"} the ${what}${added}${rest}.`;
}

function linesOf(lines: readonly TallyLine[], name: StructureFigure): readonly TallyLine[] {
  return lines.filter(({ figure }) => figure === name);
}
