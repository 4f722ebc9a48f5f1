import { STRUCTURE_LINES } from "./lines";
import type { Structure } from "./structure";
import { loanAmountOf } from "./tally";

/** A sum in words and with its numbers filled in. */
export type SumText = { formula: string; filled: string };

type Term = { name: string; sign: 1 | -1; amount: number };

/** A sum of signed terms, the first without its plus. */
function sumText(terms: readonly Term[], money: (minor: number) => string): SumText {
  const joined = (text: (term: Term) => string) =>
    terms
      .map((term, index) => `${term.sign > 0 ? (index > 0 ? " + " : "") : " − "}${text(term)}`)
      .join("")
      .trim();
  return { formula: joined(({ name }) => name), filled: joined(({ amount }) => money(amount)) };
}

/**
 * How the loan amount comes about, line by line.
 *
 * @param structure with its price and cash down
 * @param money writes minor units
 * @example loanAmountText(structure, money).formula // "price − trade-in allowance + owed on the trade-in − cash down"
 */
export function loanAmountText(structure: Structure, money: (minor: number) => string): SumText {
  const terms = STRUCTURE_LINES.map(({ name, sign, amount }) => ({ name, sign, amount: amount(structure) }));
  return sumText(terms, money);
}

/**
 * How the total cost comes about: the total of payments, then what else leaves the customer's pocket, cash first.
 *
 * @param totalOfPayments minor units
 * @example totalCostText(structure, 4924587, money).formula
 * // "total of payments + cash down + trade-in allowance − owed on the trade-in"
 */
export function totalCostText(
  structure: Structure,
  totalOfPayments: number,
  money: (minor: number) => string,
): SumText {
  const own = STRUCTURE_LINES.toReversed().flatMap(({ name, ownCost, amount }) =>
    ownCost === 0 ? [] : [{ name, sign: ownCost, amount: amount(structure) }],
  );
  const payments: Term = { name: "total of payments", sign: 1, amount: totalOfPayments };
  return sumText([payments, ...own.toSorted((a, b) => b.sign - a.sign)], money);
}

/**
 * What leaves nothing to finance, as a sentence: "The cash down and the trade-in cover the price with 12.00 over."
 *
 * @param structure with nothing left to finance
 * @param money writes minor units
 */
export function coveredText(structure: Structure, money: (minor: number) => string): string {
  const brought = STRUCTURE_LINES.toReversed().flatMap(line =>
    "brought" in line && line.amount(structure) > 0 ? [line.brought] : [],
  );
  if (brought.length === 0) return "The price is 0.";
  const over = -loanAmountOf(structure);
  const rest = over > 0 ? ` with ${money(over)} over` : "";
  return `The ${brought.join(" and the ")} ${brought.length === 1 ? "covers" : "cover"} the price${rest}.`;
}
