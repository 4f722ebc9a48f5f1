// The work that is measured, bundled with the sources of one tree: of this one, or of a commit it is compared with.

import type { LeaseDeal, LoanDeal, LoanQuote } from "@/core";
import * as core from "@/core";
import * as annuity from "@/core/annuity";
import { floatPayment, floatTable } from "./float-loop";

function loan(payments: number): LoanDeal {
  return {
    currency: "USD",
    structure: { price: 4_070_000, tradeIns: [], down: { amount: 0 } },
    plan: {
      kind: "loan",
      yearlyRate: "6.49",
      payments,
      frequency: "monthly",
      rounding: "nearest",
      signed: core.parseIsoDate("2026-11-24") ?? null,
      firstPayment: null,
      payment: null,
    },
    find: "payment",
  };
}

const WANTED_PRICE: LoanDeal = {
  ...loan(72),
  structure: { ...loan(72).structure, price: null },
  plan: { ...loan(72).plan, payment: 55_000 },
  find: "price",
};

const WANTED_RATE: LoanDeal = {
  ...loan(72),
  plan: { ...loan(72).plan, yearlyRate: null, payment: 68_397 },
  find: "yearlyRate",
};

const WANTED_COST: LoanDeal = {
  ...loan(72),
  structure: { ...loan(72).structure, price: null },
  find: "price",
  from: { figure: "financeCharge", value: 800_000 },
};

const DAILY: LoanDeal = {
  ...loan(360),
  plan: { ...loan(360).plan, dayCount: "actual/365", compounding: "yearly" },
};

function lease(change: Partial<LeaseDeal["plan"]> = {}, rest: Partial<LeaseDeal> = {}): LeaseDeal {
  return {
    currency: "USD",
    structure: loan(360).structure,
    listPrice: null,
    plan: {
      kind: "lease",
      reckoning: "moneyFactor",
      moneyFactor: "0.00225",
      yearlyRate: null,
      payments: 360,
      frequency: "monthly",
      rounding: "nearest",
      signed: loan(360).plan.signed,
      payment: null,
      inAdvance: 1,
      residual: { amount: 1_000_000 },
      residualDue: "end",
      taxes: [],
      earlyFee: 0,
      dispositionFee: 0,
      purchaseFee: 0,
      ...change,
    },
    find: "payment",
    ...rest,
  };
}

const WANTED_RESIDUAL = lease(
  { payments: 36, residual: null },
  { find: "residual", from: { figure: "totalIfBought", value: 4_700_000 } },
);
const WANTED_CASH = lease(
  { payments: 36 },
  { structure: { ...loan(36).structure, down: { dueAtSigning: 300_000 } } },
);

function answered(deal: LoanDeal): LoanQuote {
  const quote = core.evaluate(deal);
  if (!quote.ok) throw new Error(quote.failure.sentence);
  return quote.value;
}

export const TERMS = [60, 360, 1200];
const RATES = 4096;

/** Loans with their level payments, so that no two solves in a row are the same. */
const SOLVES = Array.from({ length: RATES }, (_, k) => {
  const rate = (1 + ((k * 7) % 290) / 10) / 1200;
  const count = 12 + ((k * 13) % 349);
  const lent = 10_000 + k;
  return { lent, rate, count, payment: Math.round(floatPayment(lent, rate, count) * 100) / 100 };
});

/** Each piece of the core's work, by name. An older tree may lack what a piece needs: it throws there. */
export function coreWork(): Record<string, () => unknown> {
  let price = 4_070_000;
  let solve = 0;
  const quoted = answered(loan(360));
  const loans = new Map(TERMS.map(payments => [payments, loan(payments)]));
  const next = (payments: number) => {
    price = price > 5_000_000 ? 4_070_000 : price + 1;
    const deal = loans.get(payments) ?? loan(payments);
    return { ...deal, structure: { ...deal.structure, price } };
  };
  const nextSolve = () => {
    solve = (solve + 1) % RATES;
    return SOLVES[solve] as (typeof SOLVES)[number];
  };
  const work: Record<string, () => unknown> = {
    "closed form": () => {
      const { lent, rate, count } = nextSolve();
      return floatPayment(lent, rate, count);
    },
    "solve rate": () => {
      const { lent, payment, count } = nextSolve();
      return annuity.levelRate({ lent, payment, count, last: 0, lastAfter: count });
    },
    "find rate": () => core.summarize(WANTED_RATE),
    "find price": () => core.summarize(WANTED_PRICE),
    "find price from cost": () => core.summarize(WANTED_COST),
    "quote by days": () => core.evaluate(DAILY),
    "yearly rates": () => core.costOfCredit(quoted),
    "lease 360": () => core.evaluateLease(lease()),
    "find residual": () => core.evaluateLease(WANTED_RESIDUAL),
    "lease from a sum": () => core.evaluateLease(WANTED_CASH),
  };
  for (const payments of TERMS) {
    work[`table ${payments}`] = () => core.evaluate(next(payments));
    work[`loop ${payments}`] = () => floatTable(price++ / 100, 6.49, payments);
  }
  return work;
}
