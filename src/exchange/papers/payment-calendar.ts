import ical from "ical-generator";
import { isoDate } from "@/core";
import { fileKindOf } from "../kinds";
import { sentenceWriter } from "../kinds/kind/sentence-writer";
import type { About, AnsweredOption } from "./about";
import type { Made } from "./made";

/** Whose calendar it is: what its events are known by, and how often it was changed. */
type CalendarOf = { dealId: string; optionId: string; version: number };

/**
 * A day for each payment (iCalendar, RFC 5545), with its amount. A payment is known by its number, so that a calendar that is
 * taken in again moves its days instead of doubling them.
 *
 * @returns the text of the file, or why there is none
 */
export function paymentCalendar(
  { quote }: AnsweredOption,
  about: About,
  of: CalendarOf,
): Made<{ text: string }> {
  const { rows } = fileKindOf(quote.filled).rows(quote);
  const due = rows.slice(1, -1).filter(({ amounts, kind }) => (amounts[0] ?? 0) > 0 && kind !== "at signing");
  if (due.some(({ date }) => date === null))
    return {
      ok: false,
      sentence: "A calendar needs days: type the contract date or that of the first payment.",
    };
  const { money } = sentenceWriter(quote.deal.currency, about.notation);
  const { house, vehicle, day } = about;
  const calendar = ical({
    name: ["Payments", vehicle].filter(Boolean).join(", "),
    prodId: { company: "Kellux", product: "Kellux", language: "EN" },
  });
  const seen = new Map<string, number>();
  for (const { number, date, amounts, kind, charge = 0 } of due) {
    // Two extras may come between the same payments.
    const place = `${number}-${kind.replaceAll(" ", "-")}`;
    const before = seen.get(place) ?? 0;
    seen.set(place, before + 1);
    calendar.createEvent({
      id: `${of.dealId}-${of.optionId}-${place}${before > 0 ? `-${before}` : ""}@kellux`,
      sequence: of.version,
      stamp: utc(day),
      start: utc(date ?? 0),
      allDay: true,
      summary: `${kind === "extra" || kind === "balloon" ? kind.replace(/^./, first => first.toUpperCase()) : `Payment ${number}`}: ${money((amounts[0] ?? 0) + charge)}`,
      description: [house.name ? `To ${house.name}` : "", vehicle, "An estimate, if paid as scheduled."]
        .filter(Boolean)
        .join("\n"),
    });
  }
  return { ok: true, text: calendar.toString() };
}

const utc = (day: number) => new Date(`${isoDate(day)}T00:00:00Z`);
