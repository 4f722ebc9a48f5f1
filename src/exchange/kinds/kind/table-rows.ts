/** A table of payments as it is filed: its own columns, then a row for the start, each payment, and the totals. */
export type TableRows = { headings: readonly string[]; rows: readonly TableRow[] };

/** A row; amounts in minor units. */
type TableRow = {
  number: number | string;
  /** A day number. */
  date: number | null;
  amounts: readonly number[];
  kind: string;
  /** What falls with the payment, where the deal has such. */
  charge: number | undefined;
};

/** What falls with each row: none with the start; with the totals, all of it. */
export function withCharges(
  rows: readonly Omit<TableRow, "charge">[],
  column: readonly number[] | undefined,
): readonly TableRow[] {
  const total = column?.reduce((sum, charge) => sum + charge, 0);
  return rows.map((row, index) => ({
    ...row,
    charge: column && (index === rows.length - 1 ? total : (column[index - 1] ?? 0)),
  }));
}
