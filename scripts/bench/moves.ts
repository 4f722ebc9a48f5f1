import { type Deal, parseIsoDate } from "@/core";
import { type Wanted, type WantedFigure, walkMoves, wantedOf } from "@/core/moves";
import { median } from "./by-turns";
import { say } from "./say";

const RUNS = 9;
const WARM_UP = 3;
const DAYS_SOONER = 720;

/** A loan of 360 payments with a tax and three extras. */
const LOAN: Deal = {
  currency: "USD",
  structure: {
    price: 4_185_000,
    tradeIns: [{ allowance: 920_000, owed: 1_105_000 }],
    down: { amount: 300_000 },
    taxes: [
      {
        name: "County tax",
        rate: "6.25",
        on: ["price"],
        tradeInCredit: true,
        rebateCredit: false,
        rounding: "nearest",
        isFinanced: true,
      },
    ],
    extras: ["Cover", "Towing", "Paint"].map(name => ({
      name,
      amount: { minor: 60_000 },
      isTaxable: false,
      paid: "financed" as const,
      isFinanceCharge: false,
    })),
  },
  plan: {
    kind: "loan",
    yearlyRate: "6.49",
    payments: 360,
    frequency: "monthly",
    rounding: "nearest",
    signed: parseIsoDate("2026-11-24") ?? null,
    firstPayment: null,
    payment: null,
  },
  find: "payment",
};

/** How long all candidates of a long loan take, for each figure that can be wanted, as the worker makes them. */
export function benchMoves(): void {
  const end = (parseIsoDate("2056-11-24") ?? 0) - DAYS_SOONER;
  const wanted: { [Figure in WantedFigure]?: number } = {
    payment: 25_000,
    totalCost: 8_000_000,
    financeCharge: 4_000_000,
    dueAtSigning: 200_000,
    endDate: end,
  };
  for (const figure of wantedOf(LOAN)) {
    const times: number[] = [];
    for (let run = 0; run < WARM_UP + RUNS; run++) {
      const began = performance.now();
      // Another wish each time, as keys make them.
      const asked: Wanted = { figure, value: (wanted[figure] ?? 0) + run };
      if ([...walkMoves(LOAN, asked)].length === 0) throw new Error("Nothing could move.");
      if (run >= WARM_UP) times.push(performance.now() - began);
    }
    say(
      `what would have to move, 360 payments: ${figure}`,
      `${median(times).toFixed(1)} ms`,
      "target ≤ 50 ms",
    );
  }
}
