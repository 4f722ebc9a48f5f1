export {
  type CashOver,
  type Move,
  type MoveFigure,
  type MoveValue,
  NO_RATES,
  type RatesOfTerms,
  type Standing,
  type UsualTerm,
  type Wanted,
  type WantedFigure,
} from "../kinds/kind";
export { cashOverTerms, walkMoves, wantedOf } from "./moves";
export { isMoving, isSensible } from "./sensible";
export { usualTerms } from "./usual-terms";
