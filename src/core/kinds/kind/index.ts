export { type AnyDeal, askingPayment, askingPrice } from "./any-deal";
export { type Axes, type Axis, MAP_AXES, type MapAxis, RATE_UNITS, rateText, structureAxes } from "./axis";
export type { Distance } from "./distance";
export {
  type Answered,
  type Best,
  COMPARED_PARTS,
  type FigureValue,
  type MappedIn,
  nameInSentence,
  type QuotedFigure,
} from "./figure";
export type { GivingWay } from "./giving-way";
export type { Kind } from "./kind";
export { type MoneyAt, moneyAfter, monthsTo } from "./money-over-time";
export {
  type CashOver,
  DUE_IS_GIVEN,
  type Move,
  type MoveFigure,
  type MoveValue,
  NO_RATES,
  type RatesOfTerms,
  type Standing,
  type UsualTerm,
  type Wanted,
  type WantedFigure,
} from "./move";
export { opened } from "./opened";
export type { Bought, ReachTerm } from "./reached";
