import { parseIsoDate } from "@/core";
import { type Cell, serialOf, type Workbook } from "../workbook-parts/workbook";
import { dateFormatOf } from "./date-formats";
import type { TableCell, TableFile } from "./table.schema";

const NARROWEST = 10;
const WIDEST = 44;

/**
 * A plain table as a workbook: headings that stay in view, figures as figures.
 *
 * @param table what a screen shows; nothing of the dealer's is in it
 */
export function tableWorkbook({ name, day, decimals, locale, headings, rows }: TableFile): Workbook {
  const on = parseIsoDate(day) ?? 0;
  const cells: Cell[] = [
    ...headings.map((value, column): Cell => ({ at: `${letterOf(column)}1`, value, style: "heading" })),
    ...rows.flatMap((row, line) =>
      row.flatMap((cell, column) => (cell === null ? [] : [cellOf(cell, `${letterOf(column)}${line + 2}`)])),
    ),
  ];
  const width = (column: number) =>
    Math.min(
      Math.max(
        NARROWEST,
        ...[headings[column] ?? "", ...rows.map(row => textOf(row[column]))].map(text => text.length + 2),
      ),
      WIDEST,
    );
  return {
    title: name,
    author: "",
    day: on,
    decimals,
    dateFormat: dateFormatOf(locale),
    sheets: [
      {
        name: sheetName(name),
        columns: headings.map((_, column) => ({ width: width(column) })),
        cells,
        headRows: 1,
        lastColumn: letterOf(headings.length - 1),
        rows: rows.length + 1,
      },
    ],
  };
}

const DIGITS = 14;
const textOf = (cell: TableCell | undefined) =>
  typeof cell === "string" ? cell : cell ? "0".repeat(DIGITS) : "";

function cellOf(
  cell: string | { number: number; as: "amount" | "date" | "rate" | "count" },
  at: string,
): Cell {
  if (typeof cell === "string") return { at, value: cell };
  const { number, as } = cell;
  return { at, value: as === "date" ? serialOf(number) : number, format: as };
}

/** A column by its place: A to Z, then AA. */
const letterOf = (column: number): string =>
  column < 26 ? String.fromCharCode(65 + column) : `A${String.fromCharCode(65 + column - 26)}`;

/** A sheet's name has no marks that stand for something, and at most 31 characters. */
const sheetName = (name: string) =>
  name
    .replace(/[[\]*?:/\\']/g, " ")
    .slice(0, 31)
    .trim() || "Table";
