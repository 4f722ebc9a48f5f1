import type { MatchWay, TableCell } from "@/core/match";
import { amountText } from "../text";

const CELLS: Record<TableCell, string> = {
  payment: "the payment",
  interest: "the interest",
  principal: "the principal",
  balance: "the balance",
};

/** A cell's amount, also with parts of a minor unit. */
function cellText(minor: number, currency: string, decimals: number): string {
  const whole = Math.round(minor);
  return Math.abs(minor - whole) < 1e-6
    ? amountText(whole, currency)
    : (minor / 10 ** decimals).toFixed(decimals + 2);
}

/**
 * How a way stands to their table: that all rows agree, or the first row that departs.
 *
 * @param rows how many rows their table has
 * @returns in plain notation
 */
export function rowsWords(
  { rowsOff, firstOff }: MatchWay,
  rows: number,
  currency: string,
  decimals: number,
): string {
  if (!firstOff)
    return rows === 1 ? "The row of their table agrees." : `All ${rows} rows of their table agree.`;
  const { number, cell, stated, figure, off } = firstOff;
  const own =
    Math.abs(off) > 1e11
      ? "this way has no such payment"
      : `this way has ${cellText(figure, currency, decimals)}`;
  const count = rowsOff === 1 ? "1 row departs" : `${rowsOff} rows depart`;
  return `${count} of ${rows}. The first is payment ${number}: ${CELLS[cell]} is ${cellText(stated, currency, decimals)}, ${own}.`;
}
