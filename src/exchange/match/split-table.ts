import Papa from "papaparse";

const FIGURE = /^\W*\d[\d.,'\s\u00a0\u202f]*\W*$/u;

/** Whether a cell holds a figure. */
export const isFigure = (cell: string): boolean => FIGURE.test(cell.trim());

const byDelimiter =
  (delimiter: string) =>
  (text: string): string[][] =>
    Papa.parse<string[]>(text, { delimiter, skipEmptyLines: true }).data;

const byPattern =
  (pattern: RegExp) =>
  (text: string): string[][] =>
    text.split(/\r?\n/).flatMap(line => (line.trim() === "" ? [] : [line.trim().split(pattern)]));

/** Ways to cut lines into cells, those first that cut nothing by mistake. */
const WAYS = [
  byDelimiter("\t"),
  byDelimiter(";"),
  byDelimiter("|"),
  byPattern(/\s{2,}/),
  byDelimiter(","),
  byPattern(/\s+/),
];

/** A row of a table has so many figures at least. */
const FEWEST_FIGURES = 2;

/**
 * Cuts a pasted table into cells by whatever stands between them: what gives the most rows of figures.
 *
 * @example cellsOf("1\t445.16\t111.77")[0] // ["1", "445.16", "111.77"]
 */
export function cellsOf(text: string): string[][] {
  let best: { cells: string[][]; rows: number; width: number } | undefined;
  for (const way of WAYS) {
    const cells = way(text).map(row => row.map(cell => cell.trim()));
    const ofFigures = cells.filter(row => row.filter(isFigure).length >= FEWEST_FIGURES);
    const rows = ofFigures.length;
    // Where a sign within figures cuts them, rows differ in how many cells they have.
    const widths = new Set(ofFigures.map(row => row.length)).size;
    if (rows > 0 && (!best || rows > best.rows || (rows === best.rows && widths < best.width)))
      best = { cells, rows, width: widths };
  }
  return best?.cells ?? [];
}
