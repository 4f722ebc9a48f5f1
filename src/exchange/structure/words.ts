import { AMOUNT_LINE_NAMES, AMOUNT_LINES } from "@/core";
import { fileWriter } from "../text";
import { PAID_WORDS, PERCENT_OF_WORDS, paidBy } from "./paid-by";
import type { ExtraFile, FeeFile, StructureFile, TaxFile } from "./structure.schema";

/**
 * What stands in the lists of a structure, each line by its kind and place.
 *
 * @returns pairs such as ["Fee 1", "Documents: 299.00, taxed, financed"]
 */
export function structureWords(structure: StructureFile, currency: string): [name: string, words: string][] {
  const { money } = fileWriter(currency);
  const charge = (each: FeeFile | ExtraFile) => {
    const comesTo =
      each.percentOf === undefined
        ? money(each.amount ?? 0)
        : `${each.percent} % ${PERCENT_OF_WORDS[each.percentOf]}`;
    return list([
      `${each.name}: ${comesTo}`,
      each.taxable ? "taxed" : "",
      PAID_WORDS[paidBy(each)],
      each.financeCharge ? "counts as finance charge" : "",
      "months" in each ? `for ${each.months} months` : "",
      ...("optional" in each ? optionalWords(each.optional) : []),
    ]);
  };
  const tradeIns = structure.tradeIns ?? [];
  const names = structure.names ?? {};
  const called = list([
    names.price ? `price: ${names.price}` : "",
    ...AMOUNT_LINE_NAMES.map(line =>
      names[line] ? `${AMOUNT_LINES[line].label.toLowerCase()}: ${names[line]}` : "",
    ),
    names.down ? `cash down: ${names.down}` : "",
  ]);
  return [
    ...(called ? [["Lines called", called] as [string, string]] : []),
    ...numbered("Tax", structure.taxes, tax => taxWords(tax, structure, money)),
    ...numbered("Fee", structure.fees, charge),
    ...numbered("Extra", structure.extras, charge),
    ...numbered("Rebate", structure.rebates, ({ name, amount, beforeTax }) =>
      list([`${name}: ${money(amount)}`, beforeTax ? "before tax" : "after tax"]),
    ),
    ...numbered("Trade-in", tradeIns, ({ name, allowance, owed }) =>
      list([
        `${name ? `${name}: ` : ""}allowance ${allowance === undefined ? "found" : money(allowance)}`,
        `owed ${money(owed ?? 0)}`,
      ]),
    ),
    ...numbered("Debt", structure.payoffs, ({ name, amount }) => `${name}: ${money(amount)}`),
  ];
}

const yesOrNo = (is: boolean) => (is ? "yes" : "no");

/** What was answered of a cover that is not to count in what credit costs; nothing where nobody was asked. */
function optionalWords(optional: ExtraFile["optional"]): string[] {
  if (!optional) return [];
  const { voluntary, costDisclosed, askedForInWriting } = optional;
  return [
    `voluntary: ${yesOrNo(voluntary)}`,
    `its cost disclosed: ${yesOrNo(costDisclosed)}`,
    `asked for in writing: ${yesOrNo(askedForInWriting)}`,
  ];
}

const list = (phrases: string[]) => phrases.filter(Boolean).join(", ");

function numbered<Item>(
  kind: string,
  items: readonly Item[] | undefined,
  words: (item: Item) => string,
): [string, string][] {
  return (items ?? []).map((item, index) => [`${kind} ${index + 1}`, words(item)]);
}

function taxWords(
  tax: TaxFile,
  { taxIncluded }: StructureFile,
  money: (typed: string | number) => string,
): string {
  const { name, rate, on, financed } = tax;
  return list([
    `${name}: ${rate} % on ${on.join(", ")}`,
    taxIncluded ? "in the price" : financed === false ? "paid at signing" : "financed",
    ...taxLimitWords(tax, money),
  ]);
}

/** What is credited on a tax, how it is rounded and what it is capped at, one phrase each. */
export function taxLimitWords(
  { tradeInCredit = false, rebateCredit, rounding, capOn, cap }: Omit<TaxFile, "on">,
  money: (typed: string | number) => string,
): string[] {
  const credit = typeof tradeInCredit === "boolean" ? "" : ` up to ${money(tradeInCredit)}`;
  return [
    tradeInCredit !== false ? `trade-in credited${credit}` : "",
    rebateCredit ? "rebates credited" : "",
    rounding && rounding !== "nearest" ? `rounded ${rounding}` : "",
    capOn === undefined ? "" : `on at most ${money(capOn)}`,
    cap === undefined ? "" : `at most ${money(cap)}`,
  ];
}
