import {
  evaluateLease,
  FREQUENCY_NAMES,
  type LeaseDeal,
  type LeaseQuote,
  leaseEffectiveRate,
  success,
} from "@/core";
import { KEEPING } from "../kind/kept-sentence";
import type { FileKind } from "../kind/kind";
import type { LeaseFile } from "./file/file.schema";
import type { LeaseQuestion } from "./file/questions.schema";
import { answerLeaseQuestion, leaseJson } from "./quote-json";
import { readLease } from "./read";
import { recordOfLease } from "./record";
import type { LeaseRecord } from "./record.schema";
import { leaseRows } from "./rows";
import { NO_EXTRAS } from "./words/no-extras";
import { leaseSentence } from "./words/sentence";

/** Leases, as they go in and out. */
export const LEASE_FILES: FileKind<LeaseFile, LeaseDeal, LeaseQuote, LeaseQuestion, LeaseRecord> = {
  read: readLease,
  json: leaseJson,
  brief(lease) {
    const quote = evaluateLease(lease);
    if (!quote.ok) return quote;
    const { schedule: _, ...json } = leaseJson(quote.value);
    return success(json);
  },
  answer: answerLeaseQuestion,
  early: () => ({
    error: `${NO_EXTRAS} What ending it early costs can be asked for instead.`,
  }),
  rows: leaseRows,
  paid: ({ frequency, inAdvance, payments }) =>
    inAdvance === payments ? "lease, paid at once" : `${FREQUENCY_NAMES[frequency].adjective} lease`,
  listed(lease) {
    const quote = evaluateLease(lease);
    return quote.ok ? success({ payment: quote.value.payment, amountFinanced: quote.value.cost }) : quote;
  },
  listedRecord: ({ figures }) => ({
    payment: figures.payment,
    amountFinanced: figures.adjustedCapitalizedCost,
  }),
  record(optionId, quote) {
    const rate = leaseEffectiveRate(quote);
    const record = recordOfLease(optionId, { ...quote, ...(rate.ok && { keptEffectiveRate: rate.value }) });
    return { ...record, words: { ...record.words, sentence: leaseSentence(quote, KEEPING) } };
  },
};
