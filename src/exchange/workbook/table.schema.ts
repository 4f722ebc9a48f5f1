import Type from "typebox";
import { exact, IsoDate, OneOf, Whole } from "../schema";

const MOST_COLUMNS = 40;
const MOST_ROWS = 5000;
const LONGEST_TEXT = 500;

const Text = Type.String({
  maxLength: LONGEST_TEXT,
  description: `a text of at most ${LONGEST_TEXT} characters`,
});

/** A number with how it is shown: an amount in whole units, a date as a day number, a percent, or a count. */
const Figure = exact({
  number: Type.Number(),
  as: OneOf("amount", "date", "rate", "count"),
});

/** A table that is to be a workbook of its own: what a screen shows of it. */
export const TableSchema = exact({
  name: Text,
  /** The day that is written on it. */
  day: IsoDate,
  decimals: Whole(0, 3, "a number of decimals"),
  locale: Text,
  headings: Type.Array(Text, {
    minItems: 1,
    maxItems: MOST_COLUMNS,
    description: `a list of 1 to ${MOST_COLUMNS} headings`,
  }),
  rows: Type.Array(
    Type.Array(Type.Union([Text, Figure, Type.Null()], { description: "a text, a figure or null" }), {
      maxItems: MOST_COLUMNS,
      description: `a list of at most ${MOST_COLUMNS} cells`,
    }),
    { maxItems: MOST_ROWS, description: `a list of at most ${MOST_ROWS} rows` },
  ),
});

/** A table as a screen shows it. */
export type TableFile = Type.Static<typeof TableSchema>;
export type TableCell = TableFile["rows"][number][number];
