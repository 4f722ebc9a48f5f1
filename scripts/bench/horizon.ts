import { type Deal, evaluate, parseIsoDate, type Quote } from "@/core";
import { costLines, type HorizonAsked, keptFor } from "@/core/horizon";
import { median } from "./by-turns";
import { say } from "./say";

const RUNS = 15;
const WARM_UP = 8;
const MONTHS = 120;

const signed = parseIsoDate("2026-12-08") ?? 0;

const loan = (payments: number, yearlyRate: string): Deal => ({
  currency: "USD",
  structure: { price: 4_000_000, tradeIns: [], down: { amount: 400_000 } },
  plan: {
    kind: "loan",
    yearlyRate,
    payments,
    frequency: "monthly",
    rounding: "nearest",
    signed,
    firstPayment: null,
    payment: null,
  },
  find: "payment",
});

const lease = (payments: number): Deal => ({
  currency: "USD",
  structure: { price: 4_000_000, tradeIns: [], down: { amount: 0 } },
  listPrice: 4_200_000,
  plan: {
    kind: "lease",
    reckoning: "moneyFactor",
    moneyFactor: "0.00225",
    yearlyRate: null,
    payments,
    frequency: "monthly",
    rounding: "nearest",
    signed,
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
});

/** Eight options, two of the leases signed again, in today's money. */
function asked(): HorizonAsked {
  const deals = [loan(120, "6.49"), loan(96, "5.9"), loan(84, "7"), loan(72, "6")];
  const quotes = [...deals, lease(36), lease(48), lease(24), lease(60)].map(deal => {
    const quote = evaluate(deal);
    if (!quote.ok) throw new Error(quote.failure.sentence);
    return quote.value as Quote;
  });
  return {
    quotes,
    chosen: 0,
    keepFor: {
      months: 36,
      distance: 15_000,
      unit: "mi",
      value: {
        points: [100, 78, 66, 56, 48, 42].map((percent, year) => ({
          month: 12 * year,
          percent: String(percent),
        })),
        listPrice: null,
        normalDistance: 12_000,
        beyond: "0.12",
        realized: "95",
      },
      cashRebate: null,
      cash: { price: null, charges: null, taxes: null, rebates: null },
      after: [undefined, undefined, undefined, undefined, "again", "again", "buy", "handBack"],
      yearlyReturn: { rate: "4", tax: "20" },
      isTodaysMoney: true,
    },
  };
}

const timed = (run: () => void): number => {
  const start = performance.now();
  run();
  return performance.now() - start;
};

/** What it costs to keep a vehicle: the cards with their ties, and lines over ten years; warm, as a thread is after a few keys. */
export function benchHorizon(): void {
  const deal = asked();
  const measured = (run: () => void) => {
    for (let index = 0; index < WARM_UP; index++) run();
    return median(Array.from({ length: RUNS }, () => timed(run)));
  };
  const lines = measured(() => costLines(deal, MONTHS));
  const cards = measured(() => keptFor(deal));
  say(`Lines of ${MONTHS} months, eight options`, `${lines.toFixed(1)} ms`, "target ≤ 50 ms");
  say("Eight options kept for 36 months, with every tie", `${cards.toFixed(0)} ms`);
}
