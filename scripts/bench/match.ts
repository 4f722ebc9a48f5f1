import { type Deal, evaluate, parseIsoDate, type Quote } from "@/core";
import { type Stated, walkMatch } from "@/core/match";
import { median } from "./by-turns";
import { say } from "./say";

const RUNS = 3;
const WAYS = 200_000;

/** A loan of 72 payments with lines and dates, so that there are far more ways than are tried. */
const DEAL: Deal = {
  currency: "USD",
  structure: {
    price: 3_850_000,
    tradeIns: [{ allowance: 920_000, owed: 1_105_000 }],
    down: { amount: 300_000 },
    fees: [
      {
        name: "Documents",
        amount: { minor: 29_900 },
        isTaxable: true,
        paid: "financed",
        isFinanceCharge: false,
      },
      {
        name: "Title",
        amount: { minor: 7_500 },
        isTaxable: false,
        paid: "atSigning",
        isFinanceCharge: false,
      },
    ],
  },
  plan: {
    kind: "loan",
    yearlyRate: "6.1",
    payments: 72,
    frequency: "monthly",
    rounding: "nearest",
    signed: parseIsoDate("2026-12-08") ?? 0,
    firstPayment: parseIsoDate("2027-01-22") ?? 0,
    payment: null,
  },
  find: "payment",
};

/** What no way gives. */
const STATED: Stated = {
  payment: { units: 70_001, decimals: 2 },
  lastPayment: { units: 70_190, decimals: 2 },
  totalOfPayments: { units: 5_000_000, decimals: 2 },
};

/** Where a lender's figures come from: the first answer, and so many ways; warm, as a thread is after a few keys. */
export function benchMatch(): void {
  const answer = evaluate(DEAL);
  if (!answer.ok) throw new Error(answer.failure.sentence);
  const asked = { quote: answer.value as Quote, stated: STATED, place: "US" };
  const firsts: number[] = [];
  const wholes = Array.from({ length: RUNS }, () => {
    const began = performance.now();
    const walk = walkMatch(asked, { most: WAYS });
    // The ways of one departure are the first answer that says anything.
    let told = 0;
    for (let step = walk.next(); !step.done; step = walk.next()) {
      if (step.value) told += 1;
      if (step.value && told === 2) firsts.push(performance.now() - began);
    }
    return performance.now() - began;
  });
  say("A lender’s figures, the first answer", `${median(firsts).toFixed(0)} ms`, "target ≤ 500 ms");
  say(
    `${WAYS.toLocaleString("en-US")} ways of a loan of 72 payments`,
    `${(median(wholes) / 1000).toFixed(2)} s`,
    "target ≤ 3 s",
  );
}
