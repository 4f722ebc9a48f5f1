import type { StatedRowFile } from "@/exchange/match/match.schema";
import { decimalIn, type Notation } from "@/exchange/notation";

const CELLS = ["number", "date", "payment", "interest", "principal", "balance"] as const;
const HEADINGS: Record<(typeof CELLS)[number], string> = {
  number: "No.",
  date: "Date",
  payment: "Payment",
  interest: "Interest",
  principal: "Principal",
  balance: "Balance",
};

/** A table that was read, as it could be pasted: a row a line, columns apart by tabs. */
export function tableText(rows: readonly StatedRowFile[], notation: Notation): string {
  const shown = CELLS.filter(cell => rows.some(row => row[cell] !== undefined));
  const text = (cell: (typeof CELLS)[number], value: string | number | undefined) =>
    value === undefined || cell === "number" || cell === "date"
      ? String(value ?? "")
      : decimalIn(String(value), notation);
  return [
    shown.map(cell => HEADINGS[cell]).join("\t"),
    ...rows.map(row => shown.map(cell => text(cell, row[cell])).join("\t")),
  ].join("\n");
}
