export { type Deal, KINDS, kindOf, type MapFigure, type Quote, type QuoteOf, type SummaryOf } from "./kinds";
export { type KindName, kindNameOf, type PlanKind } from "./plans";
