import { type LeaseQuote, leaseEffectiveRate, success } from "@/core";

/** The effective rate of a lease whose vehicle is bought at its end, or why there is none. */
export function effectiveRateIfBought(quote: LeaseQuote): string {
  const { keptEffectiveRate } = quote;
  const rate = keptEffectiveRate === undefined ? leaseEffectiveRate(quote) : success(keptEffectiveRate);
  return rate.ok ? `effective rate ${rate.value.toFixed(2)} % a year *` : rate.failure.sentence;
}
