/** How a cell shows what is in it. */
export type CellFormat = "amount" | "date" | "percent" | "rate" | "factor" | "count" | "text";

/** What a cell is to whoever looks at it: an input that can be changed, a figure that stays as it was made, or words. */
export type CellStyle = "input" | "kept" | "figure" | "strong" | "title" | "heading" | "faint" | "sum";

/** A cell: a constant, or a formula with what it comes to as it was made. */
export type Cell = {
  /** Its column and row: "B4". */
  at: string;
  value?: string | number;
  formula?: string;
  /** What the formula comes to; left out where no one sees it. */
  result?: string | number;
  format?: CellFormat;
  style?: CellStyle;
  /** By what formulas know it. */
  name?: string;
};

/** A sheet before anything writes it. */
export type Sheet = {
  name: string;
  columns: readonly { width: number; isHidden?: boolean }[];
  cells: readonly Cell[];
  /** Rows on top that stay in view and stand on each printed page. */
  headRows: number;
  /** The last column that is printed. */
  lastColumn: string;
  /** The number of rows that are printed. */
  rows: number;
};

/** A workbook before anything writes it: plain data. */
export type Workbook = {
  title: string;
  author: string;
  /** Its day, a day number. */
  day: number;
  /** Decimals of its amounts, and how its place writes dates. */
  decimals: number;
  dateFormat: string;
  sheets: readonly Sheet[];
};

/** What a workbook's sheets are called for one option, and what tells their names from those of others. */
export type SheetNames = { deal: string; table: string; suffix: string };

/** A place in a sheet as a formula of another sheet says it. */
export const placeIn = (sheet: string, at: string) =>
  `'${sheet.replaceAll("'", "''")}'!${at.replace(/[A-Z]+|\d+/g, part => `$${part}`)}`;

const FIRST_OF_1970 = 25_569;

/** A day number as spreadsheets count days. */
export const serialOf = (day: number): number => day + FIRST_OF_1970;
