export { evaluate, moneyOverTime, summarize, working } from "./answer";
