import { percentOf, scaleOf } from "./rounding";
import type { SheetRows } from "./sheet-rows";

type PercentOf = {
  label: string;
  /** Of what, in words. */
  of: string;
  /** By what formulas know the percent. */
  name: string;
  percent: string;
  /** Of what, as a formula in minor units. */
  base: string;
  remark?: string | undefined;
};

/** Writes a percent that can be changed, and below it the amount that it comes to, whose place is given. */
export function percentRow(
  rows: SheetRows,
  { label, of, name, percent, base, remark }: PercentOf,
  scale: number,
  minor: number,
): string {
  const typed = rows.input({ label: `${label}, percent of ${of}`, format: "rate", name }, Number(percent));
  const amount = percentOf(base, typed, rows.beside(scaleOf(typed)));
  return rows.amount({ label, ...(remark && { remark }) }, amount, scale, minor);
}
