import type { PaymentRow } from "@/core";

/** Columns that can be shown besides payment, interest, principal and balance, and what each shows of a line. */
export const MORE_COLUMNS = {
  opening: "Opening balance",
  interestSoFar: "Interest so far",
  principalSoFar: "Principal so far",
  charges: "Charges",
} as const;

export type MoreColumn = keyof typeof MORE_COLUMNS;

const KEY = "kellux repayment columns";

/** What of them this browser shows. */
export function keptColumns(): readonly MoreColumn[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? "[]");
    return Array.isArray(kept) ? kept.filter((each): each is MoreColumn => each in MORE_COLUMNS) : [];
  } catch {
    return [];
  }
}

/** Keeps what is shown; a browser that keeps nothing shows it until the page is left. */
export function keepColumns(columns: readonly MoreColumn[]): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(columns));
  } catch {
    // Private windows may keep nothing.
  }
}

/** Each line with what was owed before it, and what was paid up to it. */
type LineSoFar = { opening: number; interestSoFar: number; principalSoFar: number };

export function linesSoFar(rows: readonly PaymentRow[], loanAmount: number): LineSoFar[] {
  let [opening, interestSoFar, principalSoFar] = [loanAmount, 0, 0];
  return rows.map(row => {
    const before = opening;
    interestSoFar += row.interest;
    principalSoFar += row.principal;
    opening = row.balance;
    return { opening: before, interestSoFar, principalSoFar };
  });
}
