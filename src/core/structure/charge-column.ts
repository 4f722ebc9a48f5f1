import type { ChargesWithPayments } from "./due-at-signing";

/** A line of a loan's or a lease's table. */
type PaidLine = { kind: string; payment: number; base?: number };

/**
 * What falls with each line of a repayment table: with the first, the last or each payment on which something is paid.
 * Extra payments and a balloon bring nothing with them. The payments of a lease all do, even where they come to nothing.
 *
 * @param rows the table
 * @param charges what falls with payments, in minor units
 * @returns minor units, for each line
 * @example chargeColumn(quote.schedule, { first: 1000, last: 0, each: 500 }).slice(0, 3) // [1500, 500, 500]
 */
export function chargeColumn(
  rows: readonly PaidLine[],
  { first, last, each }: ChargesWithPayments,
): number[] {
  const isPaid = ({ kind, payment, base }: PaidLine) =>
    base === undefined ? payment > 0 && kind !== "extra" && kind !== "balloon" : kind !== "closing";
  const from = rows.findIndex(isPaid);
  const to = rows.findLastIndex(isPaid);
  return rows.map((row, index) =>
    isPaid(row) ? each + (index === from ? first : 0) + (index === to ? last : 0) : 0,
  );
}
