export type { Calendar, Draft, Earning, Flat } from "./draft";
export { type RatedPeriods, rateBefore, rateByDays } from "./period-rates";
export { changeDates, changePay, countDates, levelRuns, runsFrom } from "./runs";
