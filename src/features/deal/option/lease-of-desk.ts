// What a loan does not need: the computation of leases, and the ways to change one.
import { evaluateLease, type Lease, type LeaseQuote, type Result } from "@/core";
import { type LeaseFile, readLease } from "@/exchange/lease-file";

export { asLease, asLoan } from "../fields/change-kind";
export { findInLease, fromKnown } from "../fields/find-lease";
export { tallyOfDraft, tallyOfLease } from "./lease-tally";

/** A lease as it was typed, read and answered. */
export function answerLease(inputs: LeaseFile): { deal: Result<Lease>; answer: Result<LeaseQuote> } {
  const deal = readLease(inputs);
  return { deal, answer: deal.ok ? evaluateLease(deal.value) : deal };
}
