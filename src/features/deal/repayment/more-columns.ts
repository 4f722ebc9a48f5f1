import type { ColumnNames, MoreColumn } from "./columns";
import type { LineColumn } from "./lines";

/** What a line of a table is made of, in minor units. */
type Part = { balance: number; cost: number; principal: number };

/**
 * The columns besides those of every table that are asked for: what was owed before a line, what was paid up to it, and what
 * falls with it.
 *
 * @param parts the lines
 * @param start what is owed before the first
 * @param charges what falls with each line
 */
export function moreColumns(
  names: ColumnNames,
  more: readonly MoreColumn[],
  parts: readonly Part[],
  start: number,
  charges: readonly number[] | undefined,
): LineColumn[] {
  const soFar = (part: "cost" | "principal") => {
    let sum = 0;
    const sums = parts.map(each => {
      sum += each[part];
      return sum;
    });
    return (place: number) => sums[place] ?? null;
  };
  const columns: Record<MoreColumn, () => Omit<LineColumn, "name">> = {
    opening: () => ({
      at: place => (place === 0 ? start : (parts[place - 1]?.balance ?? null)),
      sum: "none",
    }),
    costSoFar: () => ({ at: soFar("cost"), sum: "none" }),
    principalSoFar: () => ({ at: soFar("principal"), sum: "none" }),
    charges: () => ({ at: place => charges?.[place] ?? 0, sum: "total" }),
  };
  return more.flatMap(column => {
    const name = names[column];
    return name === undefined ? [] : [{ name, ...columns[column]() }];
  });
}
