import type { DayNumber } from "../../../../calendar";
import { accrualAfter, type Repaid } from "./accrual";

/**
 * The interest that a loan has still to earn by its table after a payment, or on a day before the next one.
 *
 * @param repaid a loan with its table
 * @param after number of the payment; 0 for the start
 * @param date a day before the next payment; left out on the payment's own
 * @returns minor units
 * @example interestLeft(repaidOf(campervan), 71) // 347
 */
export function interestLeft(repaid: Repaid, after: number, date?: DayNumber): number {
  const { loan, rows } = repaid;
  const isMade = ({ number, kind }: Repaid["rows"][number]) => number <= after && kind !== "balloon";
  const left = rows.reduce((sum, row) => (isMade(row) ? sum : sum + row.interest), 0);
  if (date === undefined) return left;
  const owed = rows.findLast(isMade)?.balance ?? loan.amount;
  const extras = rows.filter(
    row => row.kind === "extra" && row.number === after + 1 && (row.date ?? date) <= date,
  );
  return left - accrualAfter(repaid, after).interest(owed, date, extras);
}
