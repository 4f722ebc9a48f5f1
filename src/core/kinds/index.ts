export { type Deal, KINDS, kindOf, type Quote, type QuoteOf, type SummaryOf } from "./kinds";
