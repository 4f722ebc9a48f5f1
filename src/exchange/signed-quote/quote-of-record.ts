import type { Deal, KindName, Quote } from "@/core";
import { leaseOfRecord } from "../kinds/lease/record";
import { loanOfRecord } from "../kinds/loan/record";
import type { NoAnswerRecord, SignedQuote } from "./signed-quote.schema";

const QUOTES: Record<KindName, (record: never, deal: never) => Quote> = {
  loan: loanOfRecord,
  lease: leaseOfRecord,
};

/**
 * The answer that was signed, whatever the core would answer today.
 *
 * @param record as it was kept
 * @param deal what was typed of it, which is of the record's kind
 */
export const quoteOfRecord = (record: Exclude<SignedQuote, NoAnswerRecord>, deal: Deal): Quote =>
  QUOTES[record.kind](record as never, deal as never);
