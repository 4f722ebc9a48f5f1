export { incomeJson } from "./income-json";
export { answerDealerQuestion, isDealerQuestion } from "./income-questions";
