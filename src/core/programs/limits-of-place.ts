import { periodsPerYear } from "../calendar";
import type { Quote } from "../kinds";
import { plainName } from "./plain-name";

/** What a place lets customers be asked for, as the house has settled it; percents as typed, amounts in minor units. */
export type PlaceLimits = {
  /** Percent a year. */
  mostRate?: string;
  /** Months. */
  mostTerm?: number;
  /** Of a personal loan: percent a year. */
  mostPersonalApr?: string;
  documentFee?: { name: string; most: number };
};

/** A limit of the place that a deal breaks: what it comes to, and the most that it may be. */
export type BeyondPlace =
  | { limit: "rate" | "apr"; is: number; most: string }
  | { limit: "term"; months: number; most: number }
  | { limit: "documentFee"; index: number; name: string; amount: number; most: number };

const MONTHS = 12;

/**
 * What of a deal is beyond the limits of its place.
 *
 * @param quote an answered deal
 * @param apr percent a year; null where it was not reckoned, and is held against nothing
 * @example limitsOfPlace(quote, { mostRate: "6" }, null) // [{ limit: "rate", is: 6.49, most: "6" }]
 */
export function limitsOfPlace(quote: Quote, limits: PlaceLimits, apr: number | null): BeyondPlace[] {
  const { mostRate, mostTerm, mostPersonalApr, documentFee } = limits;
  const { structure, plan } = quote.filled;
  const rate = Number(quote.yearlyRate);
  const months = Math.ceil((quote.payments * MONTHS) / periodsPerYear(plan.frequency));
  const beyond: BeyondPlace[] = [];
  if (mostRate !== undefined && rate > Number(mostRate))
    beyond.push({ limit: "rate", is: rate, most: mostRate });
  if (mostTerm !== undefined && months > mostTerm) beyond.push({ limit: "term", months, most: mostTerm });
  const isPersonal = structure.personal !== undefined && mostPersonalApr !== undefined;
  if (isPersonal && apr !== null && apr > Number(mostPersonalApr))
    beyond.push({ limit: "apr", is: apr, most: mostPersonalApr });
  const amounts = "reckoned" in quote ? quote.reckoned.fees : quote.fees;
  for (const [index, { name }] of (structure.fees ?? []).entries()) {
    const amount = amounts[index] ?? 0;
    if (documentFee && plainName(name) === plainName(documentFee.name) && amount > documentFee.most)
      beyond.push({ limit: "documentFee", index, name, amount, most: documentFee.most });
  }
  return beyond;
}
