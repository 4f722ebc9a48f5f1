import { costOfCredit, evaluate, evaluateLease, leaseEffectiveRate, type Result, success } from "@/core";
import { type DealFile, isLease, readLoan } from "../deal-file";
import { readLease } from "../kinds/lease";
import { recordOfLease } from "../kinds/lease/record";
import { recordOfLoan } from "../kinds/loan/record";
import { noAnswer } from "./no-answer";
import type { SignedQuote } from "./signed-quote.schema";

/** What an option is signed with: its answer as it stands today. */
export function signQuote(optionId: string, inputs: DealFile): SignedQuote {
  const signed = isLease(inputs) ? signLease(optionId, inputs) : signLoan(optionId, inputs);
  return signed.ok ? signed.value : noAnswer(optionId, signed.failure.sentence);
}

function signLoan(optionId: string, inputs: Parameters<typeof readLoan>[0]): Result<SignedQuote> {
  const deal = readLoan(inputs);
  const quote = deal.ok ? evaluate(deal.value) : deal;
  if (!quote.ok) return quote;
  const cost = costOfCredit(quote.value);
  return success(recordOfLoan(optionId, { ...quote.value, ...(cost.ok && { keptCost: cost.value }) }));
}

function signLease(optionId: string, inputs: Parameters<typeof readLease>[0]): Result<SignedQuote> {
  const lease = readLease(inputs);
  const quote = lease.ok ? evaluateLease(lease.value) : lease;
  if (!quote.ok) return quote;
  const rate = leaseEffectiveRate(quote.value);
  return success(
    recordOfLease(optionId, { ...quote.value, ...(rate.ok && { keptEffectiveRate: rate.value }) }),
  );
}
