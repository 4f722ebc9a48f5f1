export { LENDER_STATES, SPREAD_REASONS } from "./answer-states";
export { dealerApart } from "./apart";
export type { Applicant, Dealer, DealerFile, DealerOfOption } from "./dealer.schema";
export { dealerFileOf, dealerOfFile } from "./dealer-in-file";
export type { LenderAnswer, SpreadReason } from "./lender-answers.schema";
export { readReserve, readSide } from "./read-side";
export { signedMinor } from "./signed-minor";
export { dealerOfCopy, type KnownCosts, ofACopy, takesSomething, withTakenCosts } from "./taken";
export {
  applicantInWords,
  lenderAnswerInWords,
  METHODS,
  officerShareInWords,
  REASONS,
  reserveInWords,
  STATES,
  spreadReasonInWords,
} from "./terms-in-words";
export { optionUpToDate } from "./up-to-date";
export { costedLines, dealerInWords } from "./words";
