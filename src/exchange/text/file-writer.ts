import { parseIsoDate } from "@/core";
import { typedAmountText } from "./amount-text";
import { longDate } from "./date-text";

/** Writes what was typed for people, in the deal's currency. */
export type Writer = { money: (typed: string | number) => string; date: (iso: string) => string };

/** Writes a file's amounts and dates for people. */
export function fileWriter(currency: string): Writer {
  return {
    money: typed => typedAmountText(typed, currency),
    date: iso => {
      const day = parseIsoDate(iso);
      return day === undefined ? iso : longDate(day);
    },
  };
}
