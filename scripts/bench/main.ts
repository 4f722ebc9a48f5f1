// Speed as ratios, side by side in one run.
import { Bench } from "tinybench";
import { costOfCredit, type Deal, evaluate, parseIsoDate, type Quote, summarize } from "@/core";
import { levelRate } from "@/core/annuity";
import { priceFile } from "@/exchange/answers/price-file";
import { floatPayment, floatTable } from "./float-loop";
import { keyPressCosts } from "./key-press";

const FRAME = 1000 / 60;

function loan(payments: number): Deal {
  return {
    currency: "USD",
    structure: { price: 4_070_000, tradeIn: { allowance: 0, owed: 0 }, down: { amount: 0 } },
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
  };
}

const WANTED_PRICE: Deal = {
  ...loan(72),
  structure: { ...loan(72).structure, price: null },
  plan: { ...loan(72).plan, payment: 55_000 },
  find: "price",
};

const WANTED_RATE: Deal = {
  ...loan(72),
  plan: { ...loan(72).plan, yearlyRate: null, payment: 68_397 },
  find: "yearlyRate",
};

const WANTED_COST: Deal = {
  ...loan(72),
  structure: { ...loan(72).structure, price: null },
  find: "price",
  from: { figure: "financeCharge", value: 800_000 },
};

const DAILY: Deal = {
  ...loan(360),
  plan: { ...loan(360).plan, dayCount: "actual/365", compounding: "yearly" },
};

const ANSWERED = answered(loan(360));

function answered(deal: Deal): Quote {
  const quote = evaluate(deal);
  if (!quote.ok) throw new Error(quote.failure.sentence);
  return quote.value;
}

/** Median microseconds of each piece of work, by name. */
async function medians(work: Record<string, () => unknown>): Promise<(name: string) => number> {
  const bench = new Bench({ time: 800, warmupTime: 300 });
  for (const [name, run] of Object.entries(work)) bench.add(name, run);
  await bench.run();
  return name => {
    const result = bench.getTask(name)?.result;
    if (result?.state !== "completed") throw new Error(`${name} was not measured.`);
    return result.latency.p50 * 1000;
  };
}

const say = (what: string, measured: string, target = "") =>
  console.log(`${what.padEnd(58)} ${measured.padStart(22)}   ${target}`);
const ratio = (value: number) => `${value.toFixed(2)} ×`;

const TERMS = [60, 360, 1200];
const RATES = 4096;

/** Loans with their level payments, so that no two solves in a row are the same. */
const SOLVES = Array.from({ length: RATES }, (_, k) => {
  const rate = (1 + ((k * 7) % 290) / 10) / 1200;
  const count = 12 + ((k * 13) % 349);
  const lent = 10_000 + k;
  return { lent, rate, count, payment: Math.round(floatPayment(lent, rate, count) * 100) / 100 };
});

async function benchCore(): Promise<void> {
  let price = 4_070_000;
  let solve = 0;
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
      return levelRate({ lent, payment, count, last: 0, lastAfter: count });
    },
    "find rate": () => summarize(WANTED_RATE),
    "find price": () => summarize(WANTED_PRICE),
    "find price from cost": () => summarize(WANTED_COST),
    "quote by days": () => evaluate(DAILY),
    "yearly rates": () => costOfCredit(ANSWERED),
  };
  for (const payments of TERMS) {
    work[`table ${payments}`] = () => evaluate(next(payments));
    work[`loop ${payments}`] = () => floatTable(price++ / 100, 6.49, payments);
  }
  const median = await medians(work);
  const toTable = (name: string) => ratio(median(name) / median("table 360"));
  for (const payments of TERMS) {
    const target = payments === 360 ? "target ≤ 2 ×" : "";
    const measured = ratio(median(`table ${payments}`) / median(`loop ${payments}`));
    say(`whole quote, ${payments} dated rows, to a bare floating-point loop`, measured, target);
  }
  say("cost of 360 rows to 60 rows (6 × as many)", ratio(median("table 360") / median("table 60")));
  say("cost of 1,200 rows to 60 rows (20 × as many)", ratio(median("table 1200") / median("table 60")));
  const rateSolve = ratio(median("solve rate") / median("closed form"));
  say("solving a rate to one closed-form payment", rateSolve, "target ≤ 20 ×");
  say("finding a deal's rate to a 360-row table", toTable("find rate"));
  say("finding a price from a payment to a 360-row table", toTable("find price"));
  say("finding a price from a finance charge to a 360-row table", toTable("find price from cost"));
  say("360 rows by days, yearly compounding, to a 360-row table", toTable("quote by days"));
  say("APR and effective rate of 360 payments to a 360-row table", toTable("yearly rates"));
}

const MANY = 20_000;

/** Prices many deal files in memory, and the same without pricing: read as JSON and written again. */
function benchMany(): void {
  const lines = Array.from({ length: MANY }, (_, k) =>
    JSON.stringify(dealFile(20_000 + k * 0.37, 3 + (k % 700) / 100)),
  );
  const timed = (work: () => void) => {
    const start = process.hrtime.bigint();
    work();
    return Number(process.hrtime.bigint() - start) / 1e9;
  };
  let written = 0;
  const price = () => {
    for (const line of lines) written += JSON.stringify(priceFile(line, false)).length;
  };
  const copy = () => {
    for (const line of lines) written += JSON.stringify(JSON.parse(line)).length;
  };
  price();
  copy();
  const [priced, copied] = [timed(price), timed(copy)];
  const perSecond = `${Math.round(MANY / priced).toLocaleString("en-US")} a second`;
  say("monthly loans of 72 payments priced from files", perSecond, "target ≥ 20,000 a second");
  say("the same to reading and writing the file alone", ratio(priced / copied));
  if (written === 0) throw new Error("Nothing was written.");
}

function dealFile(price: number, yearlyRate: number) {
  return {
    format: "kellux-deal",
    version: 1,
    currency: "USD",
    structure: { price: price.toFixed(2) },
    plan: {
      kind: "loan",
      yearlyRate: yearlyRate.toFixed(2),
      payments: 72,
      frequency: "monthly",
      signed: "2026-11-24",
    },
    find: "payment",
  };
}

async function benchKeyPress(): Promise<void> {
  const costs = (await keyPressCosts()).sort((a, b) => a - b);
  const at = (share: number) => costs[Math.floor(costs.length * share)] ?? 0;
  const text = (cost: number) => `${cost.toFixed(1)} ms = ${(cost / FRAME).toFixed(2)} frames`;
  say("key press to painted, 360 payments, median", text(at(0.5)));
  say("key press to painted, 360 payments, p95", text(at(0.95)), "target ≤ 1 frame");
}

await benchCore();
benchMany();
await benchKeyPress();
