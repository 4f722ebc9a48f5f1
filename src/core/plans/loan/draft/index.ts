export type { Calendar, Draft, Earning } from "./draft";
export { type RatedPeriods, rateByDays, regularRate } from "./period-rates";
export { changeDates, changePay, countDates, levelRuns, withoutEmptyEnd } from "./runs";
