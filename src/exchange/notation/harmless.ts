/** What a spreadsheet begins a formula with; it takes the full-width signs for the others. */
const SIGNS = "=+\\-@＝＋－＠";
const FORMULA = new RegExp(`^\\s*[${SIGNS}]`);
const MADE_HARMLESS = new RegExp(`^'(?=\\s*[${SIGNS}])`);

/** A number as a place writes it, below zero or above: no formula, though it begins with a sign. */
const NUMBER = /^[-+−]?[\d.,'’\s\u00a0\u202f]*\d\s?%?$/u;

/**
 * A text as a cell of a spreadsheet: what would be taken for a formula is text.
 *
 * @example harmlessText("=1+1") // "'=1+1"
 */
export const harmlessText = (text: string): string =>
  FORMULA.test(text) && !NUMBER.test(text) ? `'${text}` : text;

/** The text that a cell was made of. */
export const textOfHarmless = (cell: string): string => cell.replace(MADE_HARMLESS, "");

/** What parts columns, in one place or another: a text that holds any stands between quotation marks. */
const PARTS_COLUMNS = /[,;\t|]/;

/** Whether a cell of CSV stands between quotation marks, lest a spreadsheet of another place makes several of it. */
export const isQuoted = (cell: unknown): boolean =>
  typeof cell === "string" && PARTS_COLUMNS.test(cell) && !NUMBER.test(cell);
