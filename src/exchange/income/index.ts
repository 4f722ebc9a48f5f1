export { earnedByPerson, type PersonEarned } from "./earned-by-person";
export { type Approval, type EarnedFigures, earnedFigures } from "./earned-figures";
export { type EarnedSums, earnedSums, spreadSide } from "./earned-sums";
export { incomeJson } from "./income-json";
export { answerDealerQuestion, isDealerQuestion } from "./income-questions";
