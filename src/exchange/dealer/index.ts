export { dealerApart } from "./apart";
export type { Applicant, Dealer, DealerFile, DealerOfOption } from "./dealer.schema";
export { dealerFileOf, dealerOfFile } from "./dealer-in-file";
export { readSide } from "./read-side";
export { type KnownCosts, takesSomething, withTakenCosts } from "./taken";
export { optionUpToDate } from "./up-to-date";
export { costedLines, dealerInWords } from "./words";
