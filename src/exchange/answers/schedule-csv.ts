import Papa from "papaparse";
import { chargeColumn, formatAmount, isoDate, type PaymentRow, type Quote } from "@/core";
import { type Notation, spreadsheetAmount, spreadsheetDate } from "../notation";

const HEADINGS = ["Number", "Date", "Payment", "Interest", "Principal", "Balance", "Kind"];

/** Fees and extras that fall with payments, where there are any. */
const CHARGES = "Charges";

const KINDS: Record<PaymentRow["kind"], string> = {
  payment: "payment",
  interestOnly: "interest only",
  noPayment: "no payment",
  extra: "extra",
  balloon: "balloon",
};

/**
 * Writes a quote's repayment table as CSV (RFC 4180): row 0, every payment, then the totals. ISO 8601 dates, decimal
 * points.
 *
 * @returns the text, lines ending in CR LF
 */
export function scheduleCsv(quote: Quote): string {
  const data = tableOf(quote, minor => formatAmount(minor, quote.decimals), isoDate);
  return `${Papa.unparse(data, { newline: "\r\n" })}\r\n`;
}

// Spreadsheets take a file for UTF-8 by this mark.
const BYTE_ORDER_MARK = "\uFEFF";

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
  const delimiter = notation.decimal === "," ? ";" : ",";
  return `${BYTE_ORDER_MARK}${Papa.unparse(data, { newline: "\r\n", delimiter })}\r\n`;
}

function tableOf(quote: Quote, money: (minor: number) => string, written: (day: number) => string) {
  const date = (day: number | null) => (day === null ? "" : written(day));
  const { schedule, charges, loanAmount, totalInterest } = quote;
  const column = charges && chargeColumn(schedule, charges.all);
  const rows = [
    [0, date(quote.startDate), money(0), money(0), money(0), money(loanAmount), "start"],
    ...schedule.map(row => [
      row.number,
      date(row.date),
      money(row.payment),
      money(row.interest),
      money(row.principal),
      money(row.balance),
      KINDS[row.kind],
    ]),
    ["Total", "", money(loanAmount + totalInterest), money(totalInterest), money(loanAmount), money(0), ""],
  ];
  const fields = column ? [...HEADINGS, CHARGES] : HEADINGS;
  const data = column ? rows.map((row, index) => [...row, money(chargeOf(column, index))]) : rows;
  return { fields, data };
}

/** What falls with a row: none with the start; with the totals, all of it. */
function chargeOf(column: readonly number[], index: number): number {
  if (index > column.length) return column.reduce((sum, charge) => sum + charge, 0);
  return column[index - 1] ?? 0;
}
