import { parseIsoDate } from "@/core";
import { shortDate } from "@/exchange/text";

/** Said where a text is no date. */
export const NO_DATE = "Type a date such as 24 Nov, 24 Nov 2027 or +3 weeks, from 1900 to 2199.";
/** The same where a plan says more of it. */
export const NO_PLAN_DATE =
  "Type a date such as 24 Nov 2027, Nov 2029, 24m or payment 24, from 1900 to 2199.";

/** A date as its field shows it: "24 Nov 2026"; nothing where there is none. */
export function typedDate(iso: string | undefined): string {
  const day = iso === undefined ? undefined : parseIsoDate(iso);
  return day === undefined ? "" : shortDate(day);
}
