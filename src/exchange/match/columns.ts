import type { TableCell } from "@/core/match";

/** What a column of a pasted table can be. */
export type Column = TableCell | "number" | "date";

/** What headings call it, in small letters. */
const HEADINGS: readonly (readonly [Column, RegExp])[] = [
  ["balance", /balance|outstanding|remaining|owed|owing|saldo|restschuld/],
  ["interest", /interest|finance charge|rent|zins/],
  ["principal", /principal|capital|depreciation|tilgung/],
  ["date", /date|due|day|datum/],
  [
    "number",
    /^(?:no\.?|nr\.?|#|n|number|period|month|row|payment (?:no\.?|number|#)|(?:payment|pmt|pay)\s*#)$/,
  ],
  ["payment", /payment|instal|amount|paid|rate/],
];

/**
 * What the columns of a table are by its headings; null where the cells are none.
 *
 * @example columnsByHeadings(["No.", "Due", "Payment", "Interest", "Principal", "Balance"]) // ["number", "date", "payment", "interest", "principal", "balance"]
 */
export function columnsByHeadings(cells: readonly string[]): (Column | null)[] | null {
  const taken = new Set<Column>();
  const columns = cells.map(cell => {
    const text = cell.trim().toLowerCase();
    const found = HEADINGS.find(([column, words]) => !taken.has(column) && words.test(text))?.[0] ?? null;
    if (found) taken.add(found);
    return found;
  });
  const hasFigures = taken.has("payment") || taken.has("interest") || taken.has("balance");
  return hasFigures && taken.size > 1 ? columns : null;
}

/** What is taken for the same where columns are held against each other: a few cents of rounding. */
const NEAR = 0.051;
/** So many of the rows have to agree. */
const MOST = 0.8;

/**
 * What columns of figures are where no heading says it: the payment is interest and principal, and the balance falls by the
 * principal. Where there are no such, the first is the payment and the last the balance.
 *
 * @param rows figures by place; undefined where a cell has none
 * @param places the columns that hold figures
 */
export function columnsByFigures(
  rows: readonly (readonly (number | undefined)[])[],
  places: readonly number[],
): Map<number, TableCell> {
  for (const [payment, interest, principal, balance] of orders(places)) {
    const fits = rows.filter((row, index) => {
      const [paid, borne, repaid] = [row[payment], row[interest], row[principal]];
      if (paid === undefined || borne === undefined || repaid === undefined) return false;
      const owed = balance === undefined ? undefined : row[balance];
      const before = balance === undefined || index === 0 ? undefined : rows[index - 1]?.[balance];
      const falls = owed === undefined || before === undefined || Math.abs(before - repaid - owed) < NEAR;
      return Math.abs(paid - borne - repaid) < NEAR && falls;
    });
    if (fits.length < MOST * rows.length) continue;
    // Interest falls over time and principal rises: the first rows tell which of the two is which.
    return new Map<number, TableCell>([
      [payment, "payment"],
      [interest, "interest"],
      [principal, "principal"],
      ...(balance === undefined ? [] : [[balance, "balance"] as const]),
    ]);
  }
  const [first, ...others] = places;
  const last = others.at(-1);
  return new Map<number, TableCell>([
    ...(first === undefined ? [] : [[first, "payment"] as const]),
    ...(last === undefined ? [] : [[last, "balance"] as const]),
  ]);
}

type Order = [payment: number, interest: number, principal: number, balance: number | undefined];

/** Every way to take columns for payment, interest, principal and, where there are four, balance. */
function* orders(places: readonly number[]): Generator<Order, void, void> {
  for (const payment of places)
    for (const interest of places)
      for (const principal of places) {
        if (new Set([payment, interest, principal]).size < 3) continue;
        const others = places.filter(place => ![payment, interest, principal].includes(place));
        for (const balance of others) yield [payment, interest, principal, balance];
        if (others.length === 0) yield [payment, interest, principal, undefined];
      }
}
