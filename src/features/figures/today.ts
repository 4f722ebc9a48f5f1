import { type DayNumber, parseIsoDate } from "@/core";

/** Today on the officer's own calendar, as an ISO 8601 date. */
export function localToday(): string {
  const now = new Date();
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
}

/** The same as a day number. */
export const todaysDay = (): DayNumber => parseIsoDate(localToday()) ?? 0;
