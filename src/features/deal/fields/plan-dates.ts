import { parseIsoDate } from "@/core";
import type { DealFile } from "@/exchange/deal-file";

/** Reads the contract date and the first payment's as people type them, as ISO 8601; undefined where a text is no date. */
export type PlanDates = {
  contract: (text: string) => string | undefined;
  first: (text: string, file: DealFile) => string | undefined;
};

const asIso = (text: string) => (parseIsoDate(text) === undefined ? undefined : text);

// Before the page is touched nobody types: it starts without the code for it.
let reads: PlanDates = { contract: asIso, first: asIso };

/** Takes what reads dates, once it is loaded. */
export function provideDates(from: PlanDates): void {
  reads = from;
}

/** What reads the dates of a plan at this moment. */
export const planDates = (): PlanDates => reads;
