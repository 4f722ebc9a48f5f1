import {
  costOfCredit,
  evaluate,
  evaluateLease,
  type LeaseQuote,
  leaseEffectiveRate,
  type Quote,
} from "@/core";
import { type DealInputs, isLeaseInputs, readInputs } from "../deal-file";

/** An option's answer as it was signed: a quote with its yearly rates, or why there is none. */
export type FrozenQuote = { optionId: string } & ({ quote: Quote | LeaseQuote } | { sentence: string });

/** The answer of an option as it stands today, to be kept. */
export function frozenQuote(optionId: string, inputs: DealInputs): FrozenQuote {
  const deal = readInputs(inputs);
  if (!deal.ok) return { optionId, sentence: deal.failure.sentence };
  if (isLeaseInputs(inputs)) {
    const quote = evaluateLease(deal.value as Parameters<typeof evaluateLease>[0]);
    if (!quote.ok) return { optionId, sentence: quote.failure.sentence };
    const rate = leaseEffectiveRate(quote.value);
    return { optionId, quote: { ...quote.value, ...(rate.ok && { keptEffectiveRate: rate.value }) } };
  }
  const quote = evaluate(deal.value as Parameters<typeof evaluate>[0]);
  if (!quote.ok) return { optionId, sentence: quote.failure.sentence };
  const cost = costOfCredit(quote.value);
  return { optionId, quote: { ...quote.value, ...(cost.ok && { keptCost: cost.value }) } };
}
