import { createHash } from "node:crypto";
import { eq } from "drizzle-orm";
import fc from "fast-check";
import { CORE_VERSION, costOfCredit, evaluate } from "@/core";
import { insertDeals, updateDeal } from "@/data/deals";
import { options } from "@/data/schema";
import type { DealDocument } from "@/exchange/deal-document";
import type { DealFile } from "@/exchange/deal-file";
import { figuresOf, registerRows } from "@/server/register";
import { dealsOf, SHAPE_NAMES } from "../core/shapes";
import { testDatabase } from "../data/test-database";

const open = testDatabase();

const OPTION = "11111111-1111-4111-8111-111111111111";

/** A random deal as it is typed, some of them with a price that leaves nothing to finance. */
const inputs = fc
  .record({
    price: fc.integer({ min: 0, max: 6_000_000 }),
    down: fc.integer({ min: 0, max: 300_000 }),
    yearlyRate: fc.integer({ min: 0, max: 30_000 }),
    payments: fc.integer({ min: 1, max: 84 }),
    frequency: fc.constantFrom("monthly" as const, "weekly" as const, "yearly" as const),
  })
  .map(
    ({ price, down, yearlyRate, payments, frequency }): DealFile => ({
      format: "kellux-deal",
      version: 1,
      currency: "USD",
      structure: { price: (price / 100).toFixed(2), down: { amount: (down / 100).toFixed(2) } },
      plan: { kind: "loan", yearlyRate: (yearlyRate / 1000).toFixed(3), payments, frequency },
      find: "payment",
    }),
  );

const documentOf = (typed: DealFile, customer: string): DealDocument => ({
  customer,
  vehicle: "",
  status: "quoting",
  chosen: OPTION,
  options: [{ id: OPTION, name: "", inputs: typed }],
});

test("kept figures are what the core says: when they are first asked for, kept, changed, and made by another core", async () => {
  const typed = fc.sample(inputs, { numRuns: 2000, seed: 9 });
  await insertDeals(
    open.database,
    typed.map((each, k) => documentOf(each, `Customer ${k}`)),
  );
  const expected = new Map(typed.map((each, k) => [`Customer ${k}`, figuresOf(each)]));
  const wrongOnes = async () => {
    const rows = await registerRows(open.database);
    expect(rows).toHaveLength(typed.length);
    return rows.filter(({ customer, currency, payment, amountFinanced, paid, problem }) => {
      const figures = { currency, payment, paid, amountFinanced, problem };
      return JSON.stringify(figures) !== JSON.stringify(expected.get(customer));
    });
  };
  expect(await wrongOnes()).toEqual([]);
  expect(await wrongOnes()).toEqual([]);

  // A save makes them again.
  const [first] = await registerRows(open.database);
  const other = typed.find(
    each => JSON.stringify(figuresOf(each)) !== JSON.stringify(expected.get(first?.customer ?? "")),
  );
  if (!first || !other) throw new Error("All deals are one.");
  const change = { options: [{ id: OPTION, name: "", inputs: other }] };
  expect(await updateDeal(open.database, first.id, 1, change)).toBe(true);
  expected.set(first.customer, figuresOf(other));
  expect(await wrongOnes()).toEqual([]);

  // So does another version of the core.
  const wrong = { currency: "USD", payment: 1, amountFinanced: 1, paid: "monthly", problem: null };
  await open.database.update(options).set({ figures: wrong, figuresBy: "0" }).where(eq(options.id, OPTION));
  expect(await wrongOnes()).toEqual([]);
});

test("a core that answers otherwise has another version", () => {
  const answers = SHAPE_NAMES.flatMap(shape => fc.sample(dealsOf(shape), { numRuns: 40, seed: 3 })).map(
    deal => {
      const quote = evaluate(deal);
      if (!quote.ok) return quote.failure;
      const { payment, amountFinanced, totalCost, finalDate, payments } = quote.value;
      const cost = costOfCredit(quote.value);
      return [payment, amountFinanced, totalCost, finalDate, payments, cost.ok && cost.value.apr.toFixed(6)];
    },
  );
  const digest = createHash("sha256").update(JSON.stringify(answers)).digest("hex").slice(0, 16);
  // Where this fails because an answer is meant to be another one, raise CORE_VERSION and write the new digest here.
  expect([CORE_VERSION, digest]).toEqual(["2", "ff22335b2631678d"]);
});
