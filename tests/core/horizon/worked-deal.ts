// A loan and a lease of one vehicle, to see what it costs to keep it.
import { type Deal, evaluate, type LeaseDeal, type Quote } from "@/core";
import { type KeepFor, type Kept, keptFor } from "@/core/horizon";
import { date, dealWith } from "../deals";

export function answered(deal: Deal): Quote {
  const quote = evaluate(deal);
  if (!quote.ok) throw new Error(quote.failure.sentence);
  return quote.value as Quote;
}

const SIGNED = date("2026-12-08");

/** 36,000.00 at 6.49 % over 60 payments of 704.21. */
export const LOAN = dealWith(
  { price: 4_000_000, down: { amount: 400_000 } },
  { yearlyRate: "6.49", payments: 60, signed: SIGNED },
);

/** 36 payments of 735.48, the first at signing, down to 18,240.00. */
export const LEASE: LeaseDeal = {
  currency: "USD",
  structure: { price: 4_000_000, tradeIns: [], down: { amount: 0 } },
  listPrice: 4_200_000,
  plan: {
    kind: "lease",
    reckoning: "moneyFactor",
    moneyFactor: "0.00225",
    yearlyRate: null,
    payments: 36,
    frequency: "monthly",
    rounding: "nearest",
    signed: SIGNED,
    payment: null,
    inAdvance: 1,
    residual: { amount: 1_824_000 },
    residualDue: "end",
    taxes: [],
    distance: { perYear: 12_000, unit: "mi", beyond: "0.22", expected: null },
    earlyFee: 0,
    dispositionFee: 39_500,
    purchaseFee: 30_000,
  },
  find: "payment",
};

export const KEEP_FOR: KeepFor = {
  months: 36,
  distance: 15_000,
  unit: "mi",
  value: {
    points: [
      { month: 0, percent: "100" },
      { month: 12, percent: "78" },
      { month: 24, percent: "66" },
      { month: 36, percent: "56" },
      { month: 48, percent: "48" },
      { month: 60, percent: "42" },
    ],
    listPrice: null,
    normalDistance: 12_000,
    beyond: "0.12",
    realized: "100",
  },
  cashRebate: null,
  cash: { price: null, charges: null, taxes: null, rebates: null },
  after: [],
  yearlyReturn: { rate: "4", tax: "0" },
  isTodaysMoney: false,
};

/** What it costs to keep it, by the deals' ways; the first is the chosen one. */
export function kept(
  keepFor: Partial<KeepFor> = {},
  deals: readonly Deal[] = [LOAN, LEASE],
  chosen = 0,
): Kept {
  const found = keptFor({ quotes: deals.map(answered), chosen, keepFor: { ...KEEP_FOR, ...keepFor } });
  if (!found.ok) throw new Error(found.failure.sentence);
  return found.value;
}
