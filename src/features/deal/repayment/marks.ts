import type { Range } from "./range";

/** What is pointed at and chosen, in the table and on the chart alike. */
export type Marks = {
  pointed: number | null;
  onPoint: (place: number | null) => void;
  range: Range | null;
  onRange: (range: Range | null) => void;
};
