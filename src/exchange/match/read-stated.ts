import { currencyDecimals, failure, parseIsoDate, type Result, success } from "@/core";
import { STATED_AMOUNTS, type Stated, type StatedFigure, type StatedRow, TABLE_CELLS } from "@/core/match";
import type { StatedFile, StatedRowFile } from "./match.schema";

/** A number of a file has lost the zeros at its end: it has the decimals of the currency, or more where it says more. */
function figureOf(typed: string | number, decimals: number): StatedFigure {
  const text = typeof typed === "string" ? typed : numberText(typed, decimals);
  const [whole = "0", part = ""] = text.split(".");
  return { units: Number(whole + part), decimals: part.length };
}

const MOST_DECIMALS = 6;

function numberText(typed: number, decimals: number): string {
  const exact = typed.toFixed(MOST_DECIMALS).replace(/0+$/, "");
  const [, part = ""] = exact.split(".");
  return typed.toFixed(Math.max(part.length, decimals));
}

/**
 * Reads what another says, once it passed its schema.
 *
 * @param file as it is filed
 * @param currency whose decimals numbers have
 * @returns each figure with its decimals, or the first thing that cannot be
 */
export function readStated(file: StatedFile, currency: string): Result<Stated> {
  const decimals = currencyDecimals(currency) ?? 2;
  const stated: Stated = {};
  for (const name of STATED_AMOUNTS) {
    const typed = file[name];
    if (typed !== undefined) stated[name] = figureOf(typed, decimals);
  }
  const { apr, balance, payoff, table } = file;
  if (apr !== undefined) stated.apr = figureOf(apr, 0);
  if (balance?.amount !== undefined)
    stated.balance = { after: balance.after, amount: figureOf(balance.amount, decimals) };
  if (payoff) {
    const on = parseIsoDate(payoff.on);
    if (on === undefined) return failure("match", `The payoff’s day ${payoff.on} is not a date.`);
    if (payoff.amount !== undefined) stated.payoff = { on, amount: figureOf(payoff.amount, decimals) };
  }
  if (table) {
    const place = table.findIndex(
      ({ number }, index) => index > 0 && number < (table[index - 1]?.number ?? 0),
    );
    if (place > 0)
      return failure(
        "match",
        `Row ${place + 1} of their table is payment ${table[place]?.number}, after payment ${table[place - 1]?.number}; put them in order.`,
      );
    stated.table = table.map(row => rowOf(row, decimals));
  }
  return success(stated);
}

function rowOf(file: StatedRowFile, decimals: number): StatedRow {
  const row: StatedRow = { number: file.number };
  const date = file.date === undefined ? undefined : parseIsoDate(file.date);
  if (date !== undefined) row.date = date;
  for (const cell of TABLE_CELLS) {
    const typed = file[cell];
    if (typed !== undefined) row[cell] = figureOf(typed, decimals);
  }
  return row;
}
