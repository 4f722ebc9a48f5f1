import Papa from "papaparse";
import { isQuoted } from "./harmless";
import type { Notation } from "./notation";

/** Spreadsheets take a file for UTF-8 by this mark. */
export const BYTE_ORDER_MARK = "\uFEFF";

/**
 * Rows as CSV (RFC 4180), lines ending in CR LF; as a spreadsheet of a place reads it where a notation is given, with
 * columns parted by semicolons where the comma is the decimal sign.
 */
export function csvText(
  rows: unknown[][] | { fields: string[]; data: unknown[][] },
  notation?: Notation,
): string {
  const delimiter = notation?.decimal === "," ? ";" : ",";
  const text = Papa.unparse(rows, { newline: "\r\n", delimiter, quotes: isQuoted });
  return `${notation ? BYTE_ORDER_MARK : ""}${text}\r\n`;
}
