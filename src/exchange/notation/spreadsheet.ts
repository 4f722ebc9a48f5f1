import { civilDate, type DayNumber, formatAmount } from "@/core";
import type { Notation } from "./notation";

/** Minor units without groups, as a spreadsheet of the place reads them. */
export function spreadsheetAmount(minor: number, decimals: number, { decimal }: Notation): string {
  return formatAmount(minor, decimals).replace(".", decimal);
}

const two = (part: number) => String(part).padStart(2, "0");

/** A civil date as a spreadsheet of the place reads it. */
export function spreadsheetDate(date: DayNumber, { numericDate }: Notation): string {
  const { year, month, day } = civilDate(date);
  const parts: Record<string, string> = { "2026": String(year), "11": two(month), "24": two(day) };
  return numericDate.replace(/\d+/g, part => parts[part] ?? "");
}
