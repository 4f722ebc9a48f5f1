// Speed as ratios, side by side in one run.
import { Bench } from "tinybench";
import { type Deal, evaluate, find, parseIsoDate } from "@/core";
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

async function benchCore(): Promise<void> {
  let price = 4_070_000;
  const terms = [60, 360, 1200];
  const loans = new Map(terms.map(payments => [payments, loan(payments)]));
  const next = (payments: number) => {
    price = price > 5_000_000 ? 4_070_000 : price + 1;
    const deal = loans.get(payments) ?? loan(payments);
    return { ...deal, structure: { ...deal.structure, price } };
  };
  const work: Record<string, () => unknown> = {
    "closed form": () => floatPayment(price++ / 100, 0.0649 / 12, 72),
    "find price": () => find(WANTED_PRICE),
  };
  for (const payments of terms) {
    work[`table ${payments}`] = () => evaluate(next(payments));
    work[`loop ${payments}`] = () => floatTable(price++ / 100, 6.49, payments);
  }
  const median = await medians(work);
  for (const payments of terms) {
    const target = payments === 360 ? "target ≤ 2 ×" : "";
    const measured = ratio(median(`table ${payments}`) / median(`loop ${payments}`));
    say(`whole quote, ${payments} dated rows, to a bare floating-point loop`, measured, target);
  }
  say("cost of 1,200 rows to 60 rows (20 × as many)", ratio(median("table 1200") / median("table 60")));
  say("finding a price to one closed-form payment", ratio(median("find price") / median("closed form")));
  say("finding a price to a 360-row table", ratio(median("find price") / median("table 360")));
}

async function benchKeyPress(): Promise<void> {
  const costs = (await keyPressCosts()).sort((a, b) => a - b);
  const at = (share: number) => costs[Math.floor(costs.length * share)] ?? 0;
  const text = (cost: number) => `${cost.toFixed(1)} ms = ${(cost / FRAME).toFixed(2)} frames`;
  say("key press to painted, 360 payments, median", text(at(0.5)));
  say("key press to painted, 360 payments, p95", text(at(0.95)), "target ≤ 1 frame");
}

await benchCore();
await benchKeyPress();
