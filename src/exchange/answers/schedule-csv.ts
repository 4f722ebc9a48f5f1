import { formatAmount, isoDate, type Quote } from "@/core";
import { fileKindOf } from "../kinds";
import { type Notation, spreadsheetAmount, spreadsheetDate } from "../notation";
import { csvText } from "../notation/csv";

/**
 * Writes a quote's table as CSV (RFC 4180): row 0, every payment, then the totals. ISO 8601 dates, decimal points.
 *
 * @returns the text, lines ending in CR LF
 */
export function scheduleCsv(quote: Quote): string {
  const data = tableOf(quote, minor => formatAmount(minor, quote.decimals), isoDate);
  return csvText(data);
}

/**
 * The same table as a spreadsheet of a place reads it: its dates and decimal signs, and columns parted by semicolons
 * where the comma is the decimal sign.
 */
export function spreadsheetCsv(quote: Quote, notation: Notation): string {
  const data = tableOf(
    quote,
    minor => spreadsheetAmount(minor, quote.decimals, notation),
    day => spreadsheetDate(day, notation),
  );
  return csvText(data, notation);
}

function tableOf(quote: Quote, money: (minor: number) => string, written: (day: number) => string) {
  const { headings, rows } = fileKindOf(quote.filled).rows(quote);
  const cells = rows.map(({ number, date, amounts, kind, charge }) => [
    number,
    date === null ? "" : written(date),
    ...amounts.map(money),
    kind,
    ...(charge === undefined ? [] : [money(charge)]),
  ]);
  return { fields: ["Number", "Date", ...headings, "Kind", ...chargeHeading(rows)], data: cells };
}

/** Fees and extras that fall with payments, where there are any. */
function chargeHeading(rows: readonly { charge: number | undefined }[]): string[] {
  return rows.some(({ charge }) => charge !== undefined) ? ["Charges"] : [];
}
