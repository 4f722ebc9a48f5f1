export { financingMore } from "./amounts";
export { dealChoice } from "./deal-choice";
export type {
  Counting,
  Departure,
  LineChange,
  RateMeaning,
  RoundedFactor,
  RowRounding,
  Slip,
  SwappedFigure,
  TaxedPart,
} from "./departure";
export { swappedDigits } from "./digits";
export { amountChoices, type CountedLine, linesThatDiffer } from "./line-choices";
export { otherTerms } from "./other-terms";
export { otherRoundings } from "./rounding-choices";
export { rowInterest } from "./row-interest";
export { ROUNDED_PLACES, rowChoices } from "./shared-choices";
export {
  countStated,
  offBy,
  STATED_AMOUNTS,
  type Stated,
  type StatedAmount,
  type StatedFigure,
  type StatedRow,
  TABLE_CELLS,
  type TableCell,
} from "./stated";
export { type SlipOf, structureSlips, swappedAmounts } from "./structure-slips";
export { taxSlips } from "./tax-slips";
export type { Choice, Machine, Measured, WayRow } from "./way";
