import { monthName, type Writer } from "../text";
import { eachOf } from "./each-extra";
import type { ExtraFile } from "./extra.schema";

/**
 * Extra money in words, a phrase each.
 *
 * @example extraWords({ once: [{ after: 24, amount: "4000" }] }, fileWriter("USD")) // ["extra 4,000.00 after payment 24"]
 */
export function extraWords({ each, yearly, once = [] }: ExtraFile, write: Writer): string[] {
  return [
    ...(each === undefined ? [] : [`extra ${eachWords(eachOf(each), write)}`]),
    ...(yearly ? [`extra ${yearlyWords(yearly, write)}`] : []),
    ...once.map(typed => `extra ${onceWords(typed, write)}`),
  ];
}

function eachWords({ amount, from, to }: ReturnType<typeof eachOf>, { money }: Writer): string {
  const text = amount === undefined ? "to find" : money(amount);
  if (from === undefined && to === undefined) return `${text} with every payment`;
  if (to === undefined) return `${text} with payments from ${from} on`;
  return `${text} with payments ${from ?? 1} to ${to}`;
}

function yearlyWords(
  { amount, month, from }: NonNullable<ExtraFile["yearly"]>,
  { money, date }: Writer,
): string {
  if (month === undefined) return `${money(amount)} every year from ${date(String(from))}`;
  return `${money(amount)} every ${monthName(month)}${from === undefined ? "" : ` from ${from}`}`;
}

function onceWords(
  { date, after, amount, then }: NonNullable<ExtraFile["once"]>[number],
  write: Writer,
): string {
  const when = date === undefined ? `after payment ${after}` : `on ${write.date(date)}`;
  const effect = then === "lowerPayments" ? ", which lowers the payments" : "";
  return `${amount === undefined ? "to find" : write.money(amount)} ${when}${effect}`;
}
