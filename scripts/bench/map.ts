import { type Deal, evaluate, parseIsoDate } from "@/core";
import { FEWEST_STEPS, figuresOn, type MapAsked, usualRange, valuesOf, walkMap } from "@/core/map";
import { median } from "./by-turns";
import { ratio, say } from "./say";

const RUNS = 9;
/** The engine has compiled the work by then. */
const WARM_UP = 40;
const PLACES = 1000;
const UNIT = 100;

const structure = {
  price: 4_185_000,
  tradeIns: [{ allowance: 920_000, owed: 1_105_000 }],
  down: { amount: 300_000 },
  taxes: [
    {
      name: "County tax",
      rate: "6.25",
      on: ["price"] as const,
      tradeInCredit: true,
      rebateCredit: false,
      rounding: "nearest" as const,
      isFinanced: true,
    },
  ],
};

const loan = (payments: number): Deal => ({
  currency: "USD",
  structure,
  plan: {
    kind: "loan",
    yearlyRate: "6.49",
    payments,
    frequency: "monthly",
    rounding: "nearest",
    signed: parseIsoDate("2026-11-24") ?? null,
    firstPayment: null,
    payment: null,
  },
  find: "payment",
});

const LEASE: Deal = {
  currency: "USD",
  structure: { ...structure, taxes: [] },
  listPrice: null,
  plan: {
    kind: "lease",
    reckoning: "moneyFactor",
    moneyFactor: "0.00225",
    yearlyRate: null,
    payments: 36,
    frequency: "monthly",
    rounding: "nearest",
    signed: parseIsoDate("2026-11-24") ?? null,
    payment: null,
    inAdvance: 1,
    residual: { amount: 1_824_000 },
    residualDue: "end",
    taxes: [],
    earlyFee: 0,
    dispositionFee: 0,
    purchaseFee: 0,
  },
  find: "payment",
};

/** Milliseconds of a piece of work: the middle of some runs. */
function took(work: () => void): number {
  const costs: number[] = [];
  for (let run = 0; run < WARM_UP + RUNS; run++) {
    const began = performance.now();
    work();
    if (run >= WARM_UP) costs.push(performance.now() - began);
  }
  return median(costs);
}

/** Maps of a thousand places beside as many whole quotes with their tables. */
export function benchMaps(): void {
  for (const [name, deal] of [
    ["terms to 84", loan(72)],
    ["terms about 360", loan(360)],
    ["a lease", LEASE],
  ] as const) {
    const across = {
      axis: "payments" as const,
      values: valuesOf(usualRange(deal, "payments", UNIT, FEWEST_STEPS.across)),
    };
    const up = { axis: "down" as const, values: valuesOf(usualRange(deal, "down", UNIT, FEWEST_STEPS.up)) };
    const places = across.values.length * up.values.length;
    const toThousand = PLACES / places;
    const whole = took(() => {
      for (const height of up.values) {
        for (const payments of across.values) wholeQuote(deal, payments, height);
      }
    });
    const [slowest, payment] = mapCosts({ deal, across, up, figure: "payment" });
    say(
      `map of 1,000 places, ${name}, payment`,
      `${(payment * toThousand).toFixed(1)} ms`,
      name === "terms to 84" ? "target ≤ 16 ms" : "",
    );
    say(`the slowest figure of a map to whole quotes, ${name}`, ratio(slowest / whole), "target ≤ 0.5 ×");
  }
}

function mapCosts(asked: MapAsked): [slowest: number, payment: number] {
  const costs = figuresOn(asked.deal).map(figure =>
    took(() => {
      for (const _ of walkMap({ ...asked, figure }));
    }),
  );
  return [Math.max(...costs), costs[0] ?? 0];
}

function wholeQuote(deal: Deal, payments: number, amount: number): void {
  const moved = { structure: { ...deal.structure, down: { amount } } };
  evaluate({ ...deal, ...moved, plan: { ...deal.plan, payments } } as Deal);
}
