import { isoDate, parseIsoDate } from "@/core";
import type { DealInputs } from "@/exchange/deal-file";
import { readDate, shortDate } from "@/exchange/text";
import { localToday } from "@/features/figures/today";

/** Said where a text is no date. */
export const NO_DATE = "Type a date such as 24 Nov, 24 Nov 2027 or +3 weeks, from 1900 to 2199.";

/**
 * A date as people type it, as ISO 8601; undefined where it is none. Steps count from the contract date, and a date
 * without a year is the next one after it.
 */
export function readTypedDate(text: string, { plan }: Pick<DealInputs, "plan">): string | undefined {
  return readFrom(text, plan.signed, true);
}

/** The same for a date by which something ends: "June 2031" is its last day. */
export function readEndDate(text: string, { plan }: Pick<DealInputs, "plan">): string | undefined {
  return readFrom(text, plan.signed, true, true);
}

/** The same for the contract date itself: the nearest to today. */
export function readContractDate(text: string): string | undefined {
  return readFrom(text, undefined, false);
}

function readFrom(
  text: string,
  from: string | undefined,
  isAfter: boolean,
  isEnd = false,
): string | undefined {
  const today = parseIsoDate(localToday()) ?? 0;
  const base = from === undefined ? today : (parseIsoDate(from) ?? today);
  const day = readDate(text, { from: base, today, isAfter, isEnd });
  return day === undefined ? undefined : isoDate(day);
}

/** A date as its field shows it: "24 Nov 2026"; nothing where there is none. */
export function typedDate(iso: string | undefined): string {
  const day = iso === undefined ? undefined : parseIsoDate(iso);
  return day === undefined ? "" : shortDate(day);
}
