import { NO_SIDE, parseIsoDate } from "@/core";
import { type DealToFit, fitterOf, type LoanProgram, rankPrograms, whatWouldFit } from "@/core/programs";
import { median } from "./by-turns";
import { say } from "./say";

const RUNS = 15;
const WARM_UP = 8;
const PROGRAMS = 2000;
const IN_VIEW = 50;

const DAY = parseIsoDate("2026-11-24") ?? 0;

/** A loan over 72 months with two extras and a trade-in, and all that lenders ask. */
const DEAL: DealToFit = {
  loan: {
    currency: "USD",
    structure: {
      price: 4_185_000,
      tradeIns: [{ allowance: 920_000, owed: 1_105_000 }],
      down: { amount: 600_000 },
      rebates: [{ name: "Rebate", amount: 180_000, isBeforeTax: false }],
      extras: ["Cover", "Towing"].map(name => ({
        name,
        amount: { minor: 89_500 },
        isTaxable: false,
        paid: "financed" as const,
        isFinanceCharge: false,
      })),
    },
    plan: {
      kind: "loan",
      yearlyRate: "6.49",
      payments: 72,
      frequency: "monthly",
      rounding: "nearest",
      signed: DAY,
      firstPayment: null,
      payment: null,
    },
    find: "payment",
  },
  lease: null,
  turned: null,
  facts: {
    day: DAY,
    condition: "new",
    modelYear: 2026,
    distance: 12,
    unit: "mi",
    invoice: 3_610_000,
    bookValue: 3_900_000,
    listPrice: 4_290_000,
    score: 704,
    income: 520_000,
    housing: 110_000,
    debts: 64_000,
    paidOff: null,
  },
};

/** Six rows each, bought at one of a hundred and sixty rates in twentieths; a fifth of them with one of three fees. */
const programs = Array.from({ length: PROGRAMS }, (_, index): LoanProgram => {
  const row = (place: number) => ({
    from: 1 + 14 * place,
    to: 14 + 14 * place,
    leastScore: null,
    mostScore: null,
    buyRate: (3 + ((index * 7 + place) % 160) / 20).toFixed(2),
    mostSpread: "2.00",
  });
  return {
    kind: "loan",
    lender: `Lender ${index % 40}`,
    name: `Program ${index}`,
    currency: "USD",
    ...{ from: null, to: null, condition: "new", mostYears: 6, mostYearsAtEnd: 10, mostDistance: 120_000 },
    ...{ unit: "mi", leastAmount: 500_000, mostAmount: 9_000_000 },
    mostLoanTo: [
      { percent: index % 3 === 0 ? "104" : "115", of: "invoice", what: "all" },
      { percent: "110", of: "listPrice", what: "vehicle" },
    ],
    ...{ leastDown: "10", mostExtras: { percent: "20", of: "price" }, firstPaymentWithin: 45 },
    ...{ mostPaymentToIncome: "15", mostDebtToIncome: "50" },
    rates: [0, 1, 2, 3, 4, 5].map(row),
    adjust: [{ when: "loanTo", above: "110", of: "invoice", what: "all", add: "0.50" }],
    ...{ mostRate: "17.99", rateStep: "0.01", notWith: [], reserve: null, balloon: null },
    fee: index % 5 === 0 ? { amount: 10_000 * (index % 3), paidBy: "customer", isFinanceCharge: true } : null,
  };
});

const timed = (work: () => void): number => {
  const from = performance.now();
  work();
  return performance.now() - from;
};

/** How long 2,000 programs take against one deal, and what would make those fit that are in view and do not. */
export function benchPrograms(): void {
  const ranking = { by: "payment", side: NO_SIDE } as const;
  const rank = () => rankPrograms(programs, DEAL, "1.24", ranking);
  const { unfit } = rank();
  const inView = unfit.slice(0, IN_VIEW);
  const would = () => {
    for (const fit of inView) whatWouldFit(fit, DEAL, "1.24", [48, 60, 72, 84]);
  };
  for (let run = 0; run < WARM_UP; run++) rank();
  const ranked = median(Array.from({ length: RUNS }, () => timed(rank)));
  const fresh = median(Array.from({ length: RUNS }, () => timed(() => programs.map(fitterOf(DEAL, "1.24")))));
  for (let run = 0; run < 2; run++) would();
  const levers = median(Array.from({ length: 3 }, () => timed(would)));
  say("2,000 programs against a deal: every limit, ranked", `${ranked.toFixed(1)} ms`, "target ≤ 50 ms");
  say("the same, unranked", `${fresh.toFixed(1)} ms`);
  say(`what would make ${inView.length} of them fit`, `${levers.toFixed(0)} ms`);
}
