// A lease as a deal file, changed and answered.
import { evaluateLease, type LeaseQuote } from "@/core";
import { priceFile } from "@/exchange/answers/price-file";
import { type LeaseFile, readLease } from "@/exchange/kinds/lease";

/** A van: 40,000.00 leased over 36 months by a money factor, down to 18,240.00. */
export const VAN = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "40000.00" } as object,
  plan: {
    kind: "lease",
    reckoning: "moneyFactor",
    moneyFactor: "0.00225",
    payments: 36,
    frequency: "monthly",
    inAdvance: 1,
    residual: { amount: "18240.00" },
    residualDue: "end",
  } as object,
  find: "payment",
};
export const COUNTY = { name: "County tax", rate: "6.25", on: ["payment"] };

export const van = (plan: object = {}, rest: object = {}) => ({
  ...VAN,
  ...rest,
  plan: { ...VAN.plan, ...plan },
});
const priced = (file: object) => priceFile(JSON.stringify(file), true);
export const answer = (file: object) => {
  const result = priced(file);
  if (!result.ok) throw new Error(result.sentence);
  return result.answer as Record<string, never> & { schedule: { rent: string; balance: string }[] };
};
export const refusal = (file: object) => {
  const result = priced(file);
  return result.ok ? "answered" : result.sentence;
};

/** The answer of a lease, as the core gives it. */
export function leaseQuote(file: object): LeaseQuote {
  const lease = readLease(file as LeaseFile);
  const quote = lease.ok ? evaluateLease(lease.value) : lease;
  if (!quote.ok) throw new Error(quote.failure.sentence);
  return quote.value;
}
