import Papa from "papaparse";
import { formatAmount, isoDate, type PaymentRow, type Quote } from "@/core";

const HEADINGS = ["Number", "Date", "Payment", "Interest", "Principal", "Balance", "Kind"];

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
  const rows = [
    [0, date(quote.startDate), money(0), money(0), money(0), money(quote.loanAmount), "start"],
    ...quote.schedule.map(row => [
      row.number,
      date(row.date),
      money(row.payment),
      money(row.interest),
      money(row.principal),
      money(row.balance),
      KINDS[row.kind],
    ]),
    [
      "Total",
      "",
      money(quote.totalOfPayments),
      money(quote.totalOfPayments - quote.loanAmount),
      money(quote.loanAmount),
      money(0),
      "",
    ],
  ];
  return `${Papa.unparse({ fields: HEADINGS, data: rows }, { newline: "\r\n" })}\r\n`;
}
