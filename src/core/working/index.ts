export { flowsWorking, rateWorking, timeValueWorking } from "./free-questions";
export { asGiven, counted, moneyWriter, type WorkingStep } from "./step";
