import { AMOUNT_LINE_NAMES, AMOUNT_LINES } from "@/core";
import { type StructureFile, structureWords } from "../../structure";
import { fileWriter } from "../../text";

/** A figure as it was typed: what it is called, and what stands there, if anything. */
export type Worded = [name: string, text: string | undefined];

export const FOUND = "found";

const TWO_WORDS = /^(residual due|interest compounded|days counted|payment rounded|acquisition fee) (.+)$/;

/** A phrase about a plan under its first words, so that another amount of the same is the same figure. */
export function partOfPlan(phrase: string): Worded {
  const [, two, after] = TWO_WORDS.exec(phrase) ?? [];
  if (two) return [`plan: ${two}`, after];
  const [first = "", ...rest] = phrase.split(" ");
  return rest.length === 0 ? ["plan", first] : [`plan: ${first}`, rest.join(" ")];
}

/** What was typed of a figure, or that it is being found. */
export const typedOr =
  (find: string) =>
  <Typed>(figure: string, value: Typed | undefined, text: (value: Typed) => string): string | undefined => {
    if (figure === find) return FOUND;
    return value === undefined ? undefined : text(value);
  };

/** Everything that was typed of a structure, by the names of its figures. */
export function structureFigures(structure: StructureFile, currency: string, find: string): Worded[] {
  const { money } = fileWriter(currency);
  const typed = typedOr(find);
  const { names, tradeIn, purpose } = structure;
  const isDownFound = find === "down" || find === "downPercent";
  return [
    ["purpose", purpose],
    [names?.price ?? (purpose === undefined ? "price" : "amount"), typed("price", structure.price, money)],
    ["taxes", structure.taxIncluded ? "in the price" : undefined],
    ...structureWords(structure, currency),
    ["trade-in allowance", tradeIn && typed("allowance", tradeIn.allowance, money)],
    ["owed on the trade-in", tradeIn && Number(tradeIn.owed) > 0 ? money(tradeIn.owed) : undefined],
    ...AMOUNT_LINE_NAMES.map((line): Worded => {
      const amount = structure[line];
      const name = names?.[line] ?? AMOUNT_LINES[line].label.toLowerCase();
      return [name, amount === undefined ? undefined : money(amount)];
    }),
    [names?.down ?? "cash down", isDownFound ? FOUND : structure.down && downWords(structure.down, money)],
  ];
}

function downWords(
  down: NonNullable<StructureFile["down"]>,
  money: (typed: string | number) => string,
): string {
  if ("amount" in down) return money(down.amount);
  if ("percent" in down) return `${down.percent} % of the ${down.of ?? "price"}`;
  return `what makes ${money(down.dueAtSigning)} due at signing`;
}
