import { type DayNumber, dayNumber } from "@/core";

/** The server's own day. */
export const dayOf = (now: Date): DayNumber =>
  dayNumber(now.getFullYear(), now.getMonth() + 1, now.getDate());
