export {
  type CivilDate,
  civilDate,
  type DayNumber,
  dayNumber,
  daysInMonth,
  EARLIEST_YEAR,
  isoDate,
  LATEST_YEAR,
  parseIsoDate,
} from "./civil-date";
export { addMonths, monthsAfter, monthsAndDaysBetween } from "./months";
