import type { Quote } from "@/core";
import type { Matched, MatchWay } from "@/core/match";
import { amountText } from "../text";

const FINER = 4;

/**
 * How a way comes to its figures, in a sentence: the payment before it is rounded, the rows that differ, the interest in all.
 *
 * @returns in plain notation
 */
export function workingWords({ usual }: Matched, way: MatchWay, quote: Quote): string {
  const { decimals } = quote;
  const { currency } = quote.filled;
  const { figures, rowsWithOther, moreInterest } = way;
  const exact = (figures.unrounded / 10 ** decimals).toFixed(decimals + FINER);
  const money = (minor: number) => amountText(Math.abs(Math.round(minor)), currency);
  const word = quote.kind === "lease" ? "rent" : "interest";
  const rows =
    rowsWithOther === 0
      ? `no row has another ${word}`
      : `${rowsWithOther === 1 ? "1 row has" : `${rowsWithOther} rows have`} another ${word}, ${money(moreInterest)} ${moreInterest < 0 ? "less" : "more"} in all`;
  return `The payment is ${exact} before it is rounded to ${money(figures.payment)} (${money(usual.figures.payment)} here); ${rows}.`;
}
