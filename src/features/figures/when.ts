/** An instant on the officer's own clock: "26 Nov, 09:42", with the year where it is asked for. */
export function whenText(instant: string, withYear = false): string {
  return new Date(instant).toLocaleString("en-GB", {
    day: "numeric",
    month: "short",
    ...(withYear && { year: "numeric" }),
    hour: "2-digit",
    minute: "2-digit",
  });
}
