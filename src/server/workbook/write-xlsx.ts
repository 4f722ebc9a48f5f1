import type ExcelJS from "exceljs";
import { civilDate } from "@/core";
import { type Cell, placeIn, type Sheet, type Workbook } from "@/exchange/workbook-parts/workbook";

const TINT = "FFFBF1DE";
const GROUND = "FFF4EEE2";
const INK = "FF1C2B3A";
const FAINT = "FF5A6672";
const RULE = "FFDDD3C2";

/**
 * Writes a workbook as XLSX (Office Open XML), without macros. One workbook always gives the same bytes.
 *
 * @returns the bytes
 */
export async function writeXlsx(workbook: Workbook): Promise<Buffer> {
  const { year, month, day } = civilDate(workbook.day);
  const date = new Date(Date.UTC(year, month - 1, day));
  // The command line starts without it.
  const { default: excel } = await import("exceljs");
  const book = new excel.Workbook();
  Object.assign(book, {
    title: harmless(workbook.title),
    creator: workbook.author || "Kellux",
    lastModifiedBy: "Kellux",
    created: date,
    modified: date,
    calcProperties: { fullCalcOnLoad: true },
  });
  for (const sheet of workbook.sheets) addSheet(book, sheet, workbook);
  return sameBytes(Buffer.from(await book.xlsx.writeBuffer()), date);
}

function addSheet(book: ExcelJS.Workbook, sheet: Sheet, { decimals, dateFormat }: Workbook): void {
  const { name, columns, cells, headRows, lastColumn, rows } = sheet;
  const written = book.addWorksheet(name, {
    views:
      headRows > 0
        ? [{ state: "frozen", ySplit: headRows, showGridLines: false }]
        : [{ showGridLines: false }],
    pageSetup: {
      orientation: "portrait",
      fitToPage: true,
      fitToWidth: 1,
      fitToHeight: 0,
      // It puts the first dollar sign itself.
      printArea: `A$1:${lastColumn}$${rows}`,
      ...(headRows > 0 && { printTitlesRow: `${headRows}:${headRows}` }),
    },
  });
  written.columns = columns.map(({ width, isHidden = false }) => ({ width, hidden: isHidden }));
  const formats = {
    amount: decimals > 0 ? `#,##0.${"0".repeat(decimals)}` : "#,##0",
    date: dateFormat,
    percent: "0.00%",
    rate: "0.0000####",
    factor: "0.00000###",
    count: "0",
    text: "@",
  };
  for (const cell of cells) {
    const at = written.getCell(cell.at);
    at.value = contentOf(cell) as ExcelJS.CellValue;
    if (cell.format) at.numFmt = formats[cell.format];
    dress(at, cell);
    if (cell.name !== undefined) book.definedNames.add(placeIn(name, cell.at), cell.name);
  }
}

const contentOf = ({ value, formula, result }: Cell) =>
  formula === undefined
    ? typeof value === "string"
      ? harmless(value)
      : value
    : { formula, ...(result !== undefined && { result }) };

/** A text that a spreadsheet would take for a formula is no text any more. */
const harmless = (text: string) => (/^[=+\-@\t\r]/.test(text) ? `’${text}` : text);

function dress(at: ExcelJS.Cell, { style, format }: Cell): void {
  const font = { name: "Calibri", size: 11, color: { argb: INK } };
  const fill = (argb: string): ExcelJS.Fill => ({ type: "pattern", pattern: "solid", fgColor: { argb } });
  const isNumber = format !== undefined && format !== "text";
  at.font =
    style === "title"
      ? { ...font, size: 15, bold: true }
      : style === "heading" || style === "strong" || style === "sum"
        ? { ...font, bold: true }
        : style === "faint"
          ? { ...font, size: 10, color: { argb: FAINT } }
          : style === "kept"
            ? { ...font, italic: true }
            : font;
  if (style === "input") {
    at.fill = fill(TINT);
    at.border = { bottom: { style: "thin", color: { argb: RULE } } };
    at.protection = { locked: false };
  }
  if (style === "heading") {
    at.fill = fill(GROUND);
    at.alignment = { wrapText: true, vertical: "bottom" };
  }
  if (style === "sum") at.border = { top: { style: "thin", color: { argb: INK } } };
  if (isNumber) at.alignment = { ...at.alignment, horizontal: "right" };
}

/** An archive's own dates are those of its making; set to the workbook's day, the same workbook is the same bytes. */
function sameBytes(bytes: Buffer, date: Date): Buffer {
  const [dosDate] = [
    ((date.getUTCFullYear() - 1980) << 9) | ((date.getUTCMonth() + 1) << 5) | date.getUTCDate(),
  ];
  const LOCAL = 0x04034b50;
  const CENTRAL = 0x02014b50;
  const END = 0x06054b50;
  const end = bytes.lastIndexOf(Buffer.from([0x50, 0x4b, 0x05, 0x06]));
  if (end < 0 || bytes.readUInt32LE(end) !== END) return bytes;
  let at = bytes.readUInt32LE(end + 16);
  for (let count = bytes.readUInt16LE(end + 10); count > 0 && bytes.readUInt32LE(at) === CENTRAL; count--) {
    bytes.writeUInt16LE(0, at + 12);
    bytes.writeUInt16LE(dosDate, at + 14);
    const local = bytes.readUInt32LE(at + 42);
    if (bytes.readUInt32LE(local) === LOCAL) {
      bytes.writeUInt16LE(0, local + 10);
      bytes.writeUInt16LE(dosDate, local + 12);
    }
    at += 46 + bytes.readUInt16LE(at + 28) + bytes.readUInt16LE(at + 30) + bytes.readUInt16LE(at + 32);
  }
  return bytes;
}
