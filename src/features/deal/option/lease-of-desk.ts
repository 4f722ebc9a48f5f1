// What leases need: their computation, their tally and fields, the ways to change one, and the way to a loan.
import { evaluateLease, type LeaseDeal, type LeaseQuote, type Result } from "@/core";
import { type LeaseFile, readLease } from "@/exchange/kinds/lease";

export { LEASE_TURNING } from "@/exchange/kinds/lease/turning";
export { understood } from "@/exchange/typing";
export { withDownKind } from "../fields/down-kind";
export { findInLease, fromKnown, withLeasePlan } from "../fields/find-lease";
export { leaseField } from "../fields/lease-field";
export { tallyOfLease, tallyOfLeaseDraft } from "./lease-tally";

/** A lease as it was typed, read and answered. */
export function answerLease(inputs: LeaseFile): { deal: Result<LeaseDeal>; answer: Result<LeaseQuote> } {
  const deal = readLease(inputs);
  return { deal, answer: deal.ok ? evaluateLease(deal.value) : deal };
}
