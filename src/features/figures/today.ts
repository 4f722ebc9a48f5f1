/** Today on the officer's own calendar, as an ISO 8601 date. */
export function localToday(): string {
  const now = new Date();
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
}

/** Whether the officer's own dates begin with the day: 24/11 for the 24th of November. */
export function isDayFirst(): boolean {
  const parts = new Intl.DateTimeFormat().formatToParts(new Date(2000, 10, 24));
  return parts.findIndex(({ type }) => type === "day") < parts.findIndex(({ type }) => type === "month");
}
