export { cashOverTerms } from "./loan-moves";
export {
  type CashOver,
  type Move,
  type MoveFigure,
  type MoveValue,
  NO_RATES,
  type RatesOfTerms,
  type Standing,
  type UsualTerm,
  WANTED_OF_LEASE,
  WANTED_OF_LOAN,
  type Wanted,
  type WantedFigure,
} from "./move";
export { walkMoves } from "./moves";
export { isMoving, isSensible } from "./sensible";
export { usualTerms } from "./usual-terms";
