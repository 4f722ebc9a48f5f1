export type { CashPrice, TaxesFrom } from "./cash-way";
export type { Cost } from "./cost";
export type { FirstTie } from "./first-tie";
export type { HorizonAsked } from "./horizon";
export {
  type AfterEnd,
  type CashLines,
  type CashRebate,
  type CurvePoint,
  type KeepFor,
  LONGEST_KEPT,
  type ValueCurve,
} from "./keep-for";
export { type Kept, type KeptWay, keptFor, type Ties } from "./kept";
export { keptWorking } from "./kept-working";
export {
  type CostLine,
  type CostLines,
  costLines,
  type EquityOverTime,
  equityOverTime,
  staysCheaperFrom,
} from "./lines";
export { MOST_DRIVEN } from "./ties";
export type { Flow, FlowName, How, WayEnd } from "./way";
