export { dealerApart } from "./apart";
export type { Dealer, DealerFile, DealerOfOption } from "./dealer.schema";
export { dealerFileOf, dealerOfFile } from "./dealer-in-file";
export { type KnownCosts, takesSomething, withTakenCosts } from "./taken";
export { optionUpToDate } from "./up-to-date";
export { costedLines, dealerInWords } from "./words";
