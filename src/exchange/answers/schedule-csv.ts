import Papa from "papaparse";
import { chargeColumn, formatAmount, isoDate, type PaymentRow, type Quote } from "@/core";

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
 * Writes a quote's repayment table as CSV (RFC 4180): row 0, every payment, then the totals.
 *
 * @returns the text, lines ending in CR LF
 */
export function scheduleCsv(quote: Quote): string {
  const money = (minor: number) => formatAmount(minor, quote.decimals);
  const date = (day: number | null) => (day === null ? "" : isoDate(day));
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
  return `${Papa.unparse({ fields, data }, { newline: "\r\n" })}\r\n`;
}

/** What falls with a row: none with the start; with the totals, all of it. */
function chargeOf(column: readonly number[], index: number): number {
  if (index > column.length) return column.reduce((sum, charge) => sum + charge, 0);
  return column[index - 1] ?? 0;
}
