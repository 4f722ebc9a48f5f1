import type { Cell, Sheet } from "../workbook-parts/workbook";

type Told = { deal: string; table: string };

/** Which cell means what, and what is a value. */
export function guideSheet(options: readonly Told[]): Sheet {
  const lines = [
    "Cells on a tinted ground are inputs: change them, and every figure and the whole table follow.",
    "The table grows and shrinks with the number of payments. Its last payment closes the loan to the cent.",
    "All is reckoned in whole minor units, in hidden columns; the figures that are seen are those divided by 100 or as the currency has it.",
    "Interest of a period is rounded half up. The payment comes from the unrounded formula and is rounded by the rule beside it.",
    "Figures in italics are values: they hold for the inputs that they were made with, and go blank once one of these is changed.",
    "Each input has a name (Price, Yearly_rate, Payments, First_payment, Balloon …) by which formulas of your own can use it; of a second option with _2 behind it.",
    "A percent of a loan’s own amount, payments that change, skipped months and listed payments are values.",
    ...options.map(
      ({ deal, table }) => `${deal}: what was typed, and what it comes to. ${table}: every payment.`,
    ),
  ];
  return {
    name: "What is what",
    columns: [{ width: 120 }],
    cells: [
      { at: "A1", value: "What is what", style: "title" },
      ...lines.map((value, index): Cell => ({ at: `A${index + 3}`, value })),
    ],
    headRows: 0,
    lastColumn: "A",
    rows: lines.length + 2,
  };
}
