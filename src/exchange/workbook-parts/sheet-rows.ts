import { type Cell, type CellFormat, type CellStyle, placeIn, type Sheet } from "./workbook";

/** The columns of a deal's sheet: what it is, its figure, what is said of it; then what formulas need and nobody sees. */
const COLUMN = {
  label: "A",
  figure: "B",
  remark: "C",
  minor: "D",
  original: "E",
  scale: "F",
  step: "G",
} as const;

type Column = keyof typeof COLUMN;

/** What a sheet by formulas says of itself. */
export const CAN_CHANGE = "Cells on a tinted ground can be changed; all else follows.";

/** What fees and extras are called by formulas, each with its number. */
export const NAMED_CHARGES = { fees: "Fee", extras: "Extra" } as const;

/** A formula that adds terms, 0 where there are none. */
export const sum = (terms: readonly string[]) => (terms.length > 0 ? terms.join("+") : "0");

/** The first by the name alone, the others with their numbers. */
export const numbered = (name: string, index: number): string =>
  index === 0 ? name : `${name}_no_${index + 1}`;

/** What stands in a row of a deal's sheet. */
type RowOf = {
  label: string;
  remark?: string;
  format?: CellFormat;
  style?: CellStyle;
  /** By what formulas know its figure. */
  name?: string;
};

/**
 * Rows of a sheet as they are written, one below the other. Where something stands is given with its sheet, so that formulas of
 * other sheets can say it, too.
 */
export function sheetRows(sheet: string, suffix: string) {
  const cells: Cell[] = [];
  const inputs: string[] = [];
  let row = 0;
  let steps = 0;
  const at = (column: Column) => `${COLUMN[column]}${row}`;
  const named = (name: string) => name + suffix;
  const begin = ({ label, remark, style }: RowOf) => {
    row += 1;
    cells.push({ at: at("label"), value: label, ...(style === "strong" && { style }) });
    if (remark !== undefined) cells.push({ at: at("remark"), value: remark, style: "faint" });
  };
  return {
    /** A name that no other option's sheets have. */
    named,
    skip: () => {
      row += 1;
    },
    text: (value: string, style: CellStyle) => {
      row += 1;
      cells.push({ at: at("label"), value, style });
      if (style === "heading")
        for (const column of ["figure", "remark"] as const) cells.push({ at: at(column), value: "", style });
    },
    /** What stands on top: whose it is, and how it was made. */
    head: (about: readonly string[], ...said: readonly string[]) => {
      for (const [index, line] of [...about, ...said].entries()) {
        row += 1;
        cells.push({ at: at("label"), value: line, style: index === 0 ? "title" : "faint" });
      }
    },
    /** The sheet of all rows. */
    sheet: (): Sheet => ({
      name: sheet,
      columns: [
        { width: 44 },
        { width: 18 },
        { width: 46 },
        ...Array.from({ length: 4 }, () => ({ width: 14, isHidden: true })),
      ],
      cells,
      headRows: 0,
      lastColumn: "C",
      rows: row,
    }),
    /** A figure that is typed; where it is an amount, its minor units beside it. Gives where those, or it, stands. */
    input: (of: RowOf, value: string | number, scale?: number): string => {
      begin(of);
      const figure = at("figure");
      const { format = "amount", name } = of;
      cells.push({
        at: figure,
        value,
        format,
        style: "input",
        ...(name !== undefined && { name: named(name) }),
      });
      cells.push({ at: at("original"), value });
      inputs.push(`${figure}=${at("original")}`);
      if (scale === undefined) return placeIn(sheet, figure);
      cells.push({ at: at("minor"), formula: `ROUND(${figure}*${scale},0)` });
      return placeIn(sheet, at("minor"));
    },
    /** The cell beside the last input in which something of it is kept that formulas need. */
    beside: (formula: string): string => {
      cells.push({ at: at("scale"), formula });
      return placeIn(sheet, at("scale"));
    },
    /** A figure that formulas make, in minor units, which its cell shows in whole ones. Gives where the minor units stand. */
    amount: (
      of: RowOf,
      formula: string,
      scale: number,
      result: number,
      style: CellStyle = "figure",
    ): string => {
      begin(of);
      const { name } = of;
      cells.push({ at: at("minor"), formula, ...(name !== undefined && { name: named(name) }) });
      cells.push({
        at: at("figure"),
        formula: `IF(ISNUMBER(${at("minor")}),${at("minor")}/${scale},"")`,
        result: result / scale,
        format: "amount",
        style,
      });
      return placeIn(sheet, at("minor"));
    },
    /** Any other figure that a formula makes. */
    figure: (of: RowOf, formula: string, result: string | number, style: CellStyle = "figure"): string => {
      begin(of);
      const { format = "amount", name } = of;
      cells.push({
        at: at("figure"),
        formula,
        result,
        format,
        style,
        ...(name !== undefined && { name: named(name) }),
      });
      return placeIn(sheet, at("figure"));
    },
    /** A step of a reckoning that nobody sees. */
    hidden: (name: string, formula: string): void => {
      steps += 1;
      cells.push({ at: `${COLUMN.step}${steps}`, formula, name: named(name) });
    },
    /** What holds while every input is as it was when the workbook was made. */
    unchanged: () => (inputs.length > 0 ? `AND(${inputs.join(",")})` : "TRUE"),
  };
}

export type SheetRows = ReturnType<typeof sheetRows>;
