import { addMonths, isoDate, parseIsoDate } from "@/core";
import { type Notation, plainDate } from "../notation";
import { readDate, readMonth } from "../text";

/** Days from one to another, both counted, as ISO 8601. */
export type Days = { from: string; to: string };

const ISO_MONTH = /^\d{4}-(?:0[1-9]|1[0-2])$/;
const LONGEST = 3;

/**
 * A date or a month among the words of a search, and the rest of it. A date has its year: "24 Nov" may be anything.
 *
 * @example periodInSearch("ida Nov 2026", notation) // { text: "ida", days: { from: "2026-11-01", to: "2026-11-30" } }
 */
export function periodInSearch(search: string, notation: Notation): { text: string; days: Days | null } {
  const words = search.split(/\s+/).filter(Boolean);
  for (let length = Math.min(LONGEST, words.length); length > 0; length--) {
    for (let start = 0; start + length <= words.length; start++) {
      const days = daysOf(words.slice(start, start + length).join(" "), notation);
      if (days) return { text: words.toSpliced(start, length).join(" "), days };
    }
  }
  return { text: search, days: null };
}

function daysOf(text: string, notation: Notation): Days | null {
  const first = ISO_MONTH.test(text) ? parseIsoDate(`${text}-01`) : readMonth(text);
  if (first !== undefined) return { from: isoDate(first), to: isoDate(addMonths(first, 1) - 1) };
  const plain = plainDate(text, notation);
  if (parseIsoDate(text) === undefined && !/[a-z].*\s\d{4}$/i.test(plain)) return null;
  const day = readDate(plain, { from: 0, today: 0, isAfter: false });
  return day === undefined ? null : { from: isoDate(day), to: isoDate(day) };
}
