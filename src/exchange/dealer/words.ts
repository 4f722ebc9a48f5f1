import { type DealDocument, type DealOption, isSame } from "../deal-document";
import { proposedNames } from "../option-words";
import { COSTED_LISTS, lineIds } from "../structure/line-ids";
import { linesOf } from "../structure/lines";
import { typedAmountText } from "../text";
import type { Dealer } from "./dealer.schema";

/**
 * What changed of the dealer's part, one phrase each.
 *
 * @param document the deal that it is of
 * @returns such as "36 monthly: cost of Gap cover 300.00 → 310.00"
 */
export function dealerInWords(document: DealDocument, before: Dealer, after: Dealer): string[] {
  const names = document.options.length > 1 ? proposedNames(document.options) : [];
  return document.options.flatMap((option, index) => {
    const [former, present] = [before.options?.[option.id] ?? {}, after.options?.[option.id] ?? {}];
    if (isSame(former, present)) return [];
    const where = names[index] ? `${names[index]}: ` : "";
    const amounts = [
      ["cost of the vehicle", former.cost, present.cost] as const,
      ...costedLines(option).map(
        ({ id, words }) => [words, former.costs?.[id], present.costs?.[id]] as const,
      ),
    ];
    return amounts.flatMap(([words, from, to]) =>
      from === to ? [] : `${where}${words} ${changed(from, to, option.inputs.currency)}`,
    );
  });
}

function changed(from: string | number | undefined, to: string | number | undefined, currency: string) {
  const text = (amount: string | number) => typedAmountText(amount, currency);
  if (to === undefined) return `${from === undefined ? "" : text(from)} removed`;
  return from === undefined ? text(to) : `${text(from)} → ${text(to)}`;
}

/** The lines of an option that can have cost the dealer something, each with its id and what is asked of it. */
export function costedLines({ inputs: { structure } }: DealOption): { id: string; words: string }[] {
  return COSTED_LISTS.flatMap(list => {
    const lines = linesOf(structure, list);
    return lineIds(structure, list).map((id, index) => {
      const name = lines[index]?.name;
      const what = list === "tradeIns" ? "worth of" : "cost of";
      return {
        id,
        words: `${what} ${name ?? (lines.length > 1 ? `trade-in ${index + 1}` : "the trade-in")}`,
      };
    });
  });
}
