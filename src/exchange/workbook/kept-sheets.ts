import type { LeaseQuote } from "@/core";
import type { SentenceWriter } from "../kinds/kind/segment";
import { leaseRows } from "../kinds/lease/rows";
import { leaseLine } from "../kinds/lease/words/line";
import { sheetRows } from "../workbook-parts/sheet-rows";
import { type Cell, type Sheet, type SheetNames, serialOf } from "../workbook-parts/workbook";

const START = 4;

/** The sheets of a lease that no formulas make: nothing of them can be changed, and they say so and why. */
export function keptSheets(
  quote: LeaseQuote,
  { deal, table, suffix }: SheetNames,
  about: readonly string[],
  write: SentenceWriter,
  reasons: readonly string[],
): Sheet[] {
  const scale = 10 ** quote.decimals;
  const rows = sheetRows(deal, suffix);
  rows.head(
    about,
    leaseLine(quote, write),
    `All figures are values (${reasons.join(", ")}): nothing of them follows what is changed.`,
  );
  rows.skip();
  const kept = (label: string, minor: number, name?: string) =>
    rows.amount({ label, ...(name && { name }) }, String(minor), scale, minor, "kept");
  rows.text("From the price to the adjusted capitalized cost", "heading");
  for (const { name, sign, amount } of quote.lines) kept(name, sign * amount);
  kept("Adjusted capitalized cost", quote.cost);
  rows.skip();
  rows.text("Answer", "heading");
  kept("Payment", quote.payment, "Payment_minor");
  rows.figure(
    { label: "Payments", name: "Payments_made", format: "count" },
    String(quote.payments),
    quote.payments,
    "kept",
  );
  kept("Due at signing", quote.dueAtSigning.total, "Due_at_signing_minor");
  kept("Rent charge", quote.rentCharge);
  kept("Residual", quote.residual);
  kept("Total of payments", quote.totalOfPayments, "Total_of_payments_minor");
  return [rows.sheet(), keptTable(quote, table, scale)];
}

function keptTable(quote: LeaseQuote, name: string, scale: number): Sheet {
  const { headings, rows } = leaseRows(quote);
  const letter = (index: number) => String.fromCharCode(65 + index);
  const all = ["No.", "Due", "", ...headings];
  const cells: Cell[] = [
    { at: "A1", value: "Payments of the lease", style: "title" },
    ...all.map((value, index): Cell => ({ at: `${letter(index)}${START - 1}`, value, style: "heading" })),
    ...rows.flatMap(({ number, date, amounts, kind }, line): Cell[] => {
      const row = START + line;
      return [
        { at: `A${row}`, value: number, format: "count" },
        ...(date === null ? [] : [{ at: `B${row}`, value: serialOf(date), format: "date" } as const]),
        { at: `C${row}`, value: kind, style: "faint" },
        ...amounts.map(
          (minor, index): Cell => ({
            at: `${letter(3 + index)}${row}`,
            value: minor / scale,
            format: "amount",
          }),
        ),
      ];
    }),
  ];
  return {
    name,
    columns: all.map((_, index) => ({ width: index < 3 ? 13 : 15 })),
    cells,
    headRows: START - 1,
    lastColumn: letter(all.length - 1),
    rows: START + rows.length,
  };
}
