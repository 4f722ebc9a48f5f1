import type { LeaseQuote, LoanQuote } from "@/core";
import type { Notation } from "@/exchange/notation";
import { saveFile } from "@/features/figures/save-file";

/**
 * Hands a table of payments to the browser as CSV: with plain figures for programs, or as a spreadsheet of a place reads
 * it where a notation is given.
 */
export async function saveSchedule(
  quote: LoanQuote | LeaseQuote,
  fileName: string,
  notation?: Notation,
): Promise<void> {
  const { scheduleCsv, spreadsheetCsv } = await import("@/exchange/answers/schedule-csv");
  const text = notation ? spreadsheetCsv(quote, notation) : scheduleCsv(quote);
  saveFile(
    `${fileName} repayment${notation ? " for a spreadsheet" : ""}.csv`,
    "text/csv;charset=utf-8",
    text,
  );
}
