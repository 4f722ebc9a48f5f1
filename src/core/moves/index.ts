export { cashOverTerms } from "./loan-moves";
export {
  type CashOver,
  type Move,
  type MoveFigure,
  type MoveValue,
  type Standing,
  WANTED_OF_LEASE,
  WANTED_OF_LOAN,
  type Wanted,
  type WantedFigure,
} from "./move";
export { walkMoves } from "./moves";
export { usualTerms } from "./usual-terms";
