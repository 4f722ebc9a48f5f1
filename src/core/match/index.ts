export type { DepartingCell } from "./compare";
export { roundedFactor } from "./lease/machine";
export {
  type MatchAsked,
  type Matched,
  type MatchWay,
  matchFigures,
  type WayFigures,
  walkMatch,
} from "./match";
export type { Held, Matters, NotHeld } from "./matters";
export type { SearchLimits } from "./search";
export {
  type Counting,
  countStated,
  type Departure,
  type LineChange,
  type RateMeaning,
  type RoundedFactor,
  type RowRounding,
  type Slip,
  STATED_AMOUNTS,
  type Stated,
  type StatedAmount,
  type StatedFigure,
  type StatedRow,
  type SwappedFigure,
  TABLE_CELLS,
  type TableCell,
  type TaxedPart,
} from "./way";
