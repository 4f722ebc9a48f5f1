import type { TableLines } from "./lines";

/** Lines of the table from one place to another, both included; which was chosen first does not matter. */
export type Range = { from: number; to: number };

type Rows = TableLines["rows"];

/** The places of a range in order. */
export const inOrder = ({ from, to }: Range): Range => (from <= to ? { from, to } : { from: to, to: from });

/** "payments 3 to 5", "payment 3". */
export function rangeWords(rows: Rows, range: Range): string {
  const { from, to } = inOrder(range);
  const [first, last] = [rows[from]?.number ?? 0, rows[to]?.number ?? 0];
  return first === last ? `payment ${first}` : `payments ${first} to ${last}`;
}

/**
 * Ranges that are often asked for, by what they are called.
 *
 * @param after the place after which the next twelve months begin
 */
export function namedRanges(
  { rows, perYear }: Pick<TableLines, "rows" | "perYear">,
  after: number,
): Record<string, Range> {
  const last = rows.length - 1;
  const untilNumber = (number: number) => rows.findLastIndex(row => row.number <= number);
  const next = Math.min(after + 1, last);
  const nextEnd = untilNumber((rows[next]?.number ?? 1) + perYear - 1);
  return {
    "First 12 months": { from: 0, to: Math.max(untilNumber(perYear), 0) },
    "Next 12 months": { from: next, to: Math.max(nextEnd, next) },
    "All that is left": { from: next, to: last },
  };
}

/** The place of the last line that was due by a day; -1 before the first. */
export const placeOn = (rows: Rows, day: number): number =>
  rows.findLastIndex(({ date }) => date !== null && date <= day);
