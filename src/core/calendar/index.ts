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
export { type DayCount, yearsBetween } from "./day-count";
export {
  FREQUENCIES,
  type Frequency,
  periodStepper,
  periodsBetween,
  periodsPerYear,
  type Span,
  stepPeriods,
  type TwoDays,
  twoDaysFrom,
  wholePeriodsUntil,
} from "./frequency";
export { FREQUENCY_NAMES } from "./frequency-names";
export { addMonths, monthsAfter, monthsAndDaysBetween, wholeMonthsAfter } from "./months";
export { type Ratio, ratio } from "./ratio";
