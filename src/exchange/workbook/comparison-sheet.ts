import type { LoanQuote, Quote } from "@/core";
import type { Cell, Sheet } from "../workbook-parts/workbook";

type Compared = { name: string; quote: Quote; suffix: string };

/** A figure that options are set side by side by: the name that their sheets give it, and what it is of an option. */
type Figure = {
  label: string;
  name: string;
  /** Undefined of a kind that has no such figure. */
  of: (quote: Quote) => number | undefined;
  /** Whether it is an amount; else it is shown as it is. */
  isAmount: boolean;
};

const ofLoan =
  (of: (quote: LoanQuote) => number) =>
  (quote: Quote): number | undefined =>
    quote.kind === "lease" ? undefined : of(quote);

const FIGURES: readonly Figure[] = [
  { label: "Payment", name: "Payment_minor", of: ({ payment }) => payment, isAmount: true },
  { label: "Payments", name: "Payments_made", of: ({ payments }) => payments, isAmount: false },
  {
    label: "Due at signing",
    name: "Due_at_signing_minor",
    of: ({ dueAtSigning }) => dueAtSigning.total,
    isAmount: true,
  },
  {
    label: "Finance charge",
    name: "Finance_charge_minor",
    of: ofLoan(({ financeCharge }) => financeCharge),
    isAmount: true,
  },
  {
    label: "Total of payments",
    name: "Total_of_payments_minor",
    of: ({ totalOfPayments }) => totalOfPayments,
    isAmount: true,
  },
  { label: "Total cost", name: "Total_cost_minor", of: ofLoan(({ totalCost }) => totalCost), isAmount: true },
];

const TITLE_ROW = 3;

/** Options side by side, each figure by the sheet of its option. */
export function comparisonSheet(options: readonly Compared[]): Sheet {
  const column = (index: number) => String.fromCharCode(66 + index);
  const cells: Cell[] = [
    { at: "A1", value: "Options side by side", style: "title" },
    ...options.map(
      ({ name }, index): Cell => ({
        at: `${column(index)}${TITLE_ROW}`,
        value: name,
        style: "heading",
        format: "amount",
      }),
    ),
  ];
  FIGURES.forEach(({ label, name, of, isAmount }, line) => {
    const row = TITLE_ROW + 1 + line;
    cells.push({ at: `A${row}`, value: label });
    options.forEach(({ quote, suffix }, index) => {
      const at = `${column(index)}${row}`;
      const made = of(quote);
      const scale = isAmount ? 10 ** quote.decimals : 1;
      if (made === undefined) cells.push({ at, value: "–", style: "faint" });
      else
        cells.push({
          at,
          formula: `IF(ISNUMBER(${name}${suffix}),${name}${suffix}/${scale},"")`,
          result: made / scale,
          format: isAmount ? "amount" : "count",
          style: "figure",
        });
    });
  });
  return {
    name: "Comparison",
    columns: [{ width: 26 }, ...options.map(() => ({ width: 30 }))],
    cells,
    headRows: TITLE_ROW,
    lastColumn: column(options.length - 1),
    rows: TITLE_ROW + FIGURES.length,
  };
}
