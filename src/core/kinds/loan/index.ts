export { aprOfRows, type CostOfCredit, costOfCredit, costOfLevel } from "./credit";
export {
  FOUND_FIGURES,
  type FoundFigure,
  KNOWN_AMOUNTS,
  type Known,
  type KnownAmount,
  type KnownFigure,
  type LoanDeal,
} from "./deal";
export { dependsOn, isLevel, isPlain, levelAnswer } from "./find";
export { LOAN } from "./kind";
export {
  type DatedPlan,
  type Extra,
  firstPaymentDate,
  type LoanPlan,
  type PaymentRow,
  PLAIN_PART_NAMES,
  PLAIN_PARTS,
  type PlainPartName,
  paymentDates,
  plainPartOf,
} from "./plan";
export {
  type Answering,
  evaluateLoan,
  type LoanQuote,
  type LoanSummary,
  quoteBy,
  type Saved,
  summarizeLoan,
} from "./quote";
export { loanWorking, WORKED_FIGURES, type WorkedFigure } from "./working";
