import { type LeaseQuote, leaseEffectiveRate, success } from "@/core";
import { amountText } from "../../../text";

/** What a lease really costs, in order: each figure by its name, in minor units, and with what it includes in a few words. */
export const LEASE_COSTS = [
  { figure: "payment", name: "Payment", includes: partsOf },
  {
    figure: "rentCharge",
    name: "Rent in all",
    includes: ({ implicitYearlyRate }: LeaseQuote) =>
      `implicit rate ${implicitYearlyRate.toFixed(2)} % a year *`,
  },
  {
    figure: "depreciation",
    name: "Lost value",
    includes: ({ cost, residual, deal: { currency } }: LeaseQuote) =>
      `${amountText(cost, currency)} − ${amountText(residual, currency)}`,
  },
  { figure: "totalIfReturned", name: "Total if handed back", includes: includedIfReturned },
] as const;

function partsOf({ parts, tax, deal }: LeaseQuote): string {
  const money = (minor: number) => amountText(minor, deal.currency);
  const taxed = tax > 0 ? ` + ${money(tax)} tax` : "";
  return `${money(parts.depreciation)} value + ${money(parts.rent)} rent${taxed}`;
}

/** What is due at signing beside fees and taxes; a security deposit comes back. */
const NOT_FEES = new Set(["down", "payment", "securityDeposit"]);

function includedIfReturned({ equity, deposit, filled, dueAtSigning }: LeaseQuote): string {
  const isAtSigning = dueAtSigning.items.some(({ figure }) => !NOT_FEES.has(figure));
  const { dispositionFee } = filled.plan;
  const parts = [
    "payments",
    ...(dueAtSigning.items.some(({ figure }) => figure === "down") ? ["cash"] : []),
    ...(isAtSigning ? ["fees at signing"] : []),
    ...(deposit > 0 ? ["deposit paid"] : []),
    ...(equity === 0 ? [] : ["trade-in less owed"]),
    ...(dispositionFee > 0 ? ["fee at the end"] : []),
  ];
  return parts.join(" + ");
}

/** The effective rate of a lease whose vehicle is bought at its end, or why there is none. */
export function effectiveRateIfBought(quote: LeaseQuote): string {
  const { keptEffectiveRate } = quote;
  const rate = keptEffectiveRate === undefined ? leaseEffectiveRate(quote) : success(keptEffectiveRate);
  return rate.ok ? `effective rate ${rate.value.toFixed(2)} % a year *` : rate.failure.sentence;
}
