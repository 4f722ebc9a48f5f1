import { type DayNumber, dayNumber } from "../calendar";

/** Where periods are counted from without dates: a day that every month has, 365 days after the year before. */
export const UNDATED_START: DayNumber = dayNumber(2003, 1, 1);
