import { halfMonthsAfter, placeAmong, type TwoDays } from "./dates";
import type { SheetRows } from "./sheet-rows";

/** Writes the two days of the month that dates take turns on, and where the first of them stands. */
export function twoDaysRows(rows: SheetRows, first: string, { earlier, later }: TwoDays): void {
  rows.hidden("Earlier_day", earlier);
  rows.hidden("Later_day", later);
  rows.hidden("First_place", placeAmong(first, twoDaysNamed(rows)));
}

/** The date some half months after the first, by the days that were written. */
export const halfMonthDate = (rows: SheetRows, first: string, periods: string): string =>
  halfMonthsAfter(first, periods, rows.named("First_place"), twoDaysNamed(rows));

const twoDaysNamed = ({ named }: SheetRows): TwoDays => ({
  earlier: named("Earlier_day"),
  later: named("Later_day"),
});
