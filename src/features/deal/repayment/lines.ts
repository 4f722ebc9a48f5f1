import type { DayNumber } from "@/core";

/** A column of a table of payments: what it shows of a line, in minor units, and what of several. */
export type LineColumn = {
  name: string;
  /** By the line's place in the table; null where there is nothing to show. */
  at: (place: number) => number | null;
  sum: "total" | "last" | "none";
};

/** A table of payments, of whatever kind, as a screen shows it. */
export type TableLines = {
  rows: readonly { number: number; date: DayNumber | null }[];
  columns: readonly LineColumn[];
  currency: string;
  /** How many payments a year. */
  perYear: number;
  /** Whether its lines have dates. */
  hasDates: boolean;
  /** What lines from one place to before another are counted as: "12 payments, 1 extra". */
  counted: (from: number, to: number) => string;
  /** Whether a line is one of the payments, so that it has a number. */
  isNumbered: (place: number) => boolean;
  /** What is special about a line, in a word or two; nothing where nothing is. */
  remark: (place: number) => string;
  /** Why it is so, in sentences. */
  why: (place: number) => string | undefined;
  /** The last payment stands out. */
  isLast: (place: number) => boolean;
};

/** What the columns of lines from one place to before another come to; null where a column has no sum. */
export type Sums = (from: number, to: number) => (number | null)[];

/** Adds up lines, with every sum ready: a range that is dragged adds up at each step. */
export function sumsOf({ rows, columns }: TableLines): Sums {
  const soFar = columns.map(({ at, sum }) => {
    if (sum !== "total") return [];
    const sums = [0];
    for (let place = 0; place < rows.length; place++) sums.push((sums[place] ?? 0) + (at(place) ?? 0));
    return sums;
  });
  return (from, to) =>
    columns.map(({ at, sum }, column) => {
      if (sum === "none") return null;
      if (sum === "last") return to > from ? at(to - 1) : null;
      return (soFar[column]?.[to] ?? 0) - (soFar[column]?.[from] ?? 0);
    });
}
