import type { LoanQuote } from "@/core";
import type { SheetRows } from "../../workbook-parts/sheet-rows";
import type { PlanInputs } from "./plan-inputs";
import { type At, START } from "./table-sheet";

/** What of a flat-rate loan is paid, and what of that is interest, row by row. */
export function flatRows(
  { filled: { plan } }: LoanQuote,
  rows: SheetRows,
  { count }: PlanInputs,
  loan: string,
): { leftBefore: (k: number, at: At) => string; interest: (k: number, at: At) => string } {
  const charge = rows.named("Charge");
  const sumBefore = (k: number, at: At, column: "payment" | "interest") =>
    k === 1 ? "0" : `SUM(${at(column, START + 1)}:${at(column, START + k - 1)})`;
  const leftBefore = (k: number, at: At) => `(${loan}+${charge}-${sumBefore(k, at, "payment")})`;
  const all = `(${count}*(${count}+1))`;
  return {
    leftBefore,
    interest: (k, at) => {
      const earned = sumBefore(k, at, "interest");
      const balance = at("balance", START + k - 1);
      const byRule =
        plan.earning === "sumOfDigits"
          ? `ROUND(${charge}*(${all}-(${count}-${k})*(${count}-${k}+1))/${all},0)-${earned}`
          : `ROUND(${balance}*${rows.named("True_rate")},0)`;
      const left = `(${charge}-${earned})`;
      const owing = leftBefore(k, at);
      const isLast = `OR(${k}=${count},${owing}<=${rows.named("Solved")})`;
      // No more than is left of the charge, and as much as the payment is above what is owed.
      return `IF(${isLast},${left},MIN(MAX(${byRule},${rows.named("Solved")}-${balance}),${left}))`;
    },
  };
}
