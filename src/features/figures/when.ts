import { dayNumber } from "@/core";
import { dateIn, type Notation } from "@/exchange/notation";

/** An instant on the officer's own clock, as the place writes dates: "Nov 26, 2026, 09:42". */
export function whenText(instant: string, notation: Notation): string {
  const at = new Date(instant);
  const day = dayNumber(at.getFullYear(), at.getMonth() + 1, at.getDate());
  const clock = at.toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
  return `${dateIn(day, notation)}, ${clock}`;
}
