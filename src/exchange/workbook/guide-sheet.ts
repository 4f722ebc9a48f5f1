import type { Cell, Sheet } from "../workbook-parts/workbook";

type Told = { deal: string; table: string; sheets: readonly Sheet[] };

/** Which cell means what, and what is a value. */
export function guideSheet(options: readonly Told[]): Sheet {
  const lines = [
    "Cells on a tinted ground are inputs: change them, and every figure and the whole table follow.",
    "The table grows and shrinks with the number of payments. Its last payment closes the loan to the cent.",
    "All is reckoned in whole minor units, in hidden columns; the figures that are seen are those divided by 100 or as the currency has it.",
    "Interest of a period is rounded half up. The payment comes from the unrounded formula and is rounded by the rule beside it.",
    "Figures in italics are values: they hold for the inputs that they were made with, and go blank once one of these is changed.",
    "A percent of a loan’s own amount, payments that change, skipped months and listed payments are values.",
    ...options.map(
      ({ deal, table }) => `${deal}: what was typed, and what it comes to. ${table}: every payment.`,
    ),
    "Each input has a name, by which formulas of your own can use it:",
  ];
  const names = options.flatMap(({ sheets }) => sheets.flatMap(namedInputs));
  const from = lines.length + 4;
  return {
    name: "What is what",
    columns: [{ width: 30 }, { width: 24 }, { width: 60 }],
    cells: [
      { at: "A1", value: "What is what", style: "title" },
      ...lines.map((value, index): Cell => ({ at: `A${index + 3}`, value })),
      ...names.flatMap(([name, place, label], index): Cell[] => [
        { at: `A${from + index}`, value: name, style: "strong" },
        { at: `B${from + index}`, value: place },
        { at: `C${from + index}`, value: label },
      ]),
    ],
    headRows: 0,
    lastColumn: "C",
    rows: from + names.length,
  };
}

/** The inputs of a sheet: by what they are known, where they stand, and what they are. */
function namedInputs({ name: sheet, cells }: Sheet): [name: string, place: string, label: string][] {
  return cells.flatMap(({ at, name, style }) => {
    if (style !== "input" || name === undefined) return [];
    const label = cells.find(cell => cell.at === at.replace(/^[A-Z]+/, "A"))?.value ?? "";
    return [[name, `${sheet}, ${at}`, String(label)] as [string, string, string]];
  });
}
