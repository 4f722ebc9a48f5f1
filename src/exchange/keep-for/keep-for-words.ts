import { wholeText } from "@/core";
import type { AfterEnd } from "@/core/horizon";
import type { Writer } from "../text";
import type { KeepForFile } from "./keep-for.schema";

/** What becomes of a vehicle after the end of what was agreed, in words. */
export const AFTER_WORDS: Record<AfterEnd, string> = {
  buy: "bought and kept",
  again: "leased again, as before",
  handBack: "handed back, and none after it",
};

const CASH_WORDS = {
  price: "price",
  charges: "fees and extras",
  taxes: "taxes",
  rebates: "rebates",
} as const;

/**
 * How long a vehicle is kept, and what is assumed of that, each as a name and its words.
 *
 * @example keptInWords({ months: 36, … }, write)[0] // ["kept for", "36 months"]
 */
export function keptInWords(file: KeepForFile, { money }: Pick<Writer, "money">): [string, string][] {
  const { months, distance, unit, value, cash = {}, cashRebate, todaysMoney } = file;
  const { points, from, normalDistance, beyond, realized, listPrice } = value;
  const ordered = [...points].sort((one, other) => one.month - other.month);
  const curve = ordered.map(({ month, percent }) => `${month}: ${percent} %`).join(", ");
  const lines = Object.entries(CASH_WORDS).flatMap(([line, name]) => {
    const typed = cash[line as keyof typeof CASH_WORDS];
    return typed === undefined ? [] : [`${name} ${money(typed)}`];
  });
  return [
    ["kept for", `${months} ${months === 1 ? "month" : "months"}`],
    ["driven a year", `${wholeText(Math.round(distance))} ${unit}`],
    ["worth by month", from ? `${from}: ${curve}` : curve],
    [
      "worth less",
      beyond === undefined || normalDistance === undefined
        ? ""
        : `${beyond} a ${unit} beyond ${wholeText(Math.round(normalDistance))}`,
    ],
    ["a lessor gets", realized === undefined ? "" : `${realized} % of it`],
    ["worth percents of", listPrice === undefined ? "" : money(listPrice)],
    ["paid in cash", lines.join(", ")],
    ["rebate for cash", cashRebate ? `${money(cashRebate.amount)}, the ${cashRebate.from}’s` : ""],
    ["costs compared", todaysMoney ? "in today’s money" : ""],
  ];
}
