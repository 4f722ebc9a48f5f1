import { isoDate, parseIsoDate } from "@/core";
import { TABLE_CELLS } from "@/core/match";
import { type Notation, plainDate, plainFigure } from "../notation";
import { readDate } from "../text";
import { type Column, columnsByFigures, columnsByHeadings } from "./columns";
import type { StatedRowFile } from "./match.schema";
import { cellsOf, isFigure } from "./split-table";

/** A table as it was pasted: its rows, and what was noticed on the way, a sentence each. */
type PastedTable = { rows: StatedRowFile[]; noticed: string[] };

/** How the place writes figures, and the day from which dates are read. */
type TablePlace = { notation: Notation; today: number };

const SUM = /total|sum\b|summe/i;
const MOST_SHOWN = 40;

/**
 * Reads a pasted table, or the text of a CSV file: whatever stands between its cells, with headings or without, with sums
 * of years between its rows. What cannot be read is told and left out.
 *
 * @returns the rows, or a sentence where there is none
 * @example readTable("1\t445.16\t111.77\t333.39\t18166.61", { notation: notationOf("en-US"), today: 20788 }).rows[0].interest // "111.77"
 */
export function readTable(text: string, place: TablePlace): PastedTable | { sentence: string } {
  const lines = cellsOf(text);
  const headed = lines.findIndex(cells => columnsByHeadings(cells) !== null);
  const data = lines.slice(headed + 1).filter(cells => cells.filter(isFigure).length > 1);
  if (data.length === 0)
    return {
      sentence:
        "No row of this is a number of a payment with amounts; paste rows such as 1, 445.16, 111.77, 333.39, 18,166.61.",
    };
  const notation = notationOfTable(data, place.notation);
  const columns = columnsOf(lines[headed], data, notation, place);
  const noticed: string[] = [];
  const rows: StatedRowFile[] = [];
  for (const cells of data) {
    if (cells.some(cell => SUM.test(cell))) continue;
    const row = rowOf(cells, columns, { notation, today: place.today });
    if (row.wrong !== undefined)
      noticed.push(
        `“${row.wrong.slice(0, MOST_SHOWN)}” in row ${rows.length + 1} is no amount; it is left out.`,
      );
    rows.push({ ...row.figures, number: row.number ?? 0 });
  }
  return numbered(rows, noticed);
}

/** Which sign a table has before decimals: the one that its figures show, else the place's. */
function notationOfTable(data: readonly (readonly string[])[], notation: Notation): Notation {
  let [points, commas] = [0, 0];
  for (const cell of data.flat()) {
    if (/\.\d{1,2}\W*$/.test(cell)) points += 1;
    if (/,\d{1,2}\W*$/.test(cell)) commas += 1;
  }
  if (points === commas) return notation;
  if (points > commas) return notation.decimal === "." ? notation : { ...notation, decimal: ".", group: "," };
  return notation.decimal === "," ? notation : { ...notation, decimal: ",", group: "." };
}

type Columns = readonly (Column | null)[];

function columnsOf(
  headings: readonly string[] | undefined,
  data: readonly (readonly string[])[],
  notation: Notation,
  place: TablePlace,
): Columns {
  const byHeadings = headings && columnsByHeadings(headings);
  if (byHeadings) return byHeadings;
  const width = Math.max(...data.map(cells => cells.length));
  const columns: (Column | null)[] = Array.from({ length: width }, () => null);
  const first = data.map(cells => cells[0] ?? "");
  const isCounted = first.every((cell, index) => index === 0 || isOneMore(first[index - 1], cell));
  if (isCounted || first.filter(cell => /^\d{1,4}$/.test(cell)).length > data.length / 2)
    columns[0] = "number";
  const isDate = (index: number) =>
    data.filter(cells => dayOf(cells[index] ?? "", { notation, today: place.today }) !== undefined).length >
    data.length / 2;
  const dated = columns.findIndex((column, index) => column === null && isDate(index));
  if (dated >= 0) columns[dated] = "date";
  const places = columns.flatMap((column, index) => (column === null ? [index] : []));
  const figures = data.map(cells => cells.map(cell => numberOf(cell, notation)));
  for (const [index, column] of columnsByFigures(figures, places)) columns[index] = column;
  return columns;
}

const isOneMore = (before: string | undefined, cell: string) => Number(cell) === Number(before) + 1;

function numberOf(cell: string, notation: Notation): number | undefined {
  const plain = amountOf(cell, notation);
  return plain === undefined ? undefined : Number(plain);
}

const CURRENCY = /\p{Sc}|[A-Z]{3}/gu;
const PLAIN = /^\d{1,10}(\.\d{1,6})?$/;

/** A cell as a plain amount at its own decimals, without sign or currency; undefined where it is none. */
function amountOf(cell: string, notation: Notation): string | undefined {
  const bare = cell.replace(CURRENCY, "").replace(/[()\s\u00a0\u202f'’+−–-]/g, "");
  const plain = plainFigure(bare, notation).replace(/,/g, "");
  return PLAIN.test(plain) ? plain : undefined;
}

const DATE_SIGNS = /[./-].*[./-]|[a-z]{3}/i;

function dayOf(cell: string, { notation, today }: TablePlace): string | undefined {
  if (!DATE_SIGNS.test(cell)) return undefined;
  const day =
    parseIsoDate(cell) ?? readDate(plainDate(cell, notation), { from: today, today, isAfter: false });
  return day === undefined ? undefined : isoDate(day);
}

type ReadRow = { number: number | undefined; figures: Omit<StatedRowFile, "number">; wrong?: string };

function rowOf(cells: readonly string[], columns: Columns, place: TablePlace): ReadRow {
  const row: ReadRow = { number: undefined, figures: {} };
  for (const [index, column] of columns.entries()) {
    const cell = cells[index] ?? "";
    if (column !== null && cell !== "") takeCell(row, column, cell, place);
  }
  return row;
}

function takeCell(row: ReadRow, column: Column, cell: string, place: TablePlace): void {
  if (column === "number") {
    if (/^\d{1,4}$/.test(cell)) row.number = Number(cell);
    return;
  }
  if (column === "date") {
    const day = dayOf(cell, place);
    if (day !== undefined) row.figures.date = day;
    return;
  }
  const amount = amountOf(cell, place.notation);
  if (amount === undefined) row.wrong ??= cell;
  else row.figures[column] = amount;
}

/** Rows with the numbers of their payments, and what was noticed: a start that is no payment, rows that are missing. */
function numbered(read: StatedRowFile[], noticed: string[]): PastedTable | { sentence: string } {
  const isStart = (row: StatedRowFile, index: number) =>
    index === 0 &&
    row.balance !== undefined &&
    Number(row.payment ?? 0) === 0 &&
    Number(row.interest ?? 0) === 0;
  const rows = read.filter(
    (row, index) => !isStart(row, index) && TABLE_CELLS.some(cell => row[cell] !== undefined),
  );
  const hasNumbers = rows.some(({ number }) => number > 0);
  let last = 0;
  const counted = rows.map((row, index): StatedRowFile => {
    const number = hasNumbers && row.number > 0 ? row.number : last + stepsSince(rows[index - 1], row);
    last = Math.max(number, last);
    return { ...row, number: Math.max(number, 1) };
  });
  for (const [index, { number }] of counted.entries()) {
    const before = counted[index - 1]?.number ?? 0;
    if (number > before + 1)
      noticed.push(
        number === before + 2
          ? `Payment ${before + 1} is not in their table; the others are compared.`
          : `Payments ${before + 1} to ${number - 1} are not in their table; the others are compared.`,
      );
    if (number < before)
      return {
        sentence: `Payment ${number} comes after payment ${before} in their table; put them in order.`,
      };
  }
  return counted.length > 0
    ? { rows: counted, noticed }
    : {
        sentence: "No row of this has an amount; paste rows with a payment, interest, principal or balance.",
      };
}

const NEAR = 1.01;
const MOST_MISSING = 12;

/** How many payments lie between two rows without numbers: more than one where the balance falls by more than this one's. */
function stepsSince(before: StatedRowFile | undefined, row: StatedRowFile): number {
  const [owed, left, repaid] = [before?.balance, row.balance, row.principal].map(text =>
    Number(text ?? Number.NaN),
  );
  if (owed === undefined || left === undefined || repaid === undefined || !(repaid > 0)) return 1;
  const fallen = owed - left;
  const steps = Math.round(fallen / repaid);
  return fallen > repaid + NEAR && steps > 1 && steps <= MOST_MISSING ? steps : 1;
}
