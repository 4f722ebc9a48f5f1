import fc from "fast-check";
import { evaluate, evaluateLease, moneyAfter, moneyOverTime, rebateOrRate } from "@/core";
import { paymentAt, reach } from "@/core/reach";
import { runs } from "../runs";
import { dealWith, quoteOf } from "./deals";
import { leaseOf, leases } from "./random-leases";
import { dealOf, structures } from "./random-structures";

const van = dealWith(
  { price: 4_185_000, tradeIns: [{ allowance: 920_000, owed: 1_105_000 }], down: { amount: 300_000 } },
  { yearlyRate: "6.49", payments: 72 },
);
const TERMS = [
  { payments: 48, yearlyRate: "5.89" },
  { payments: 84, yearlyRate: "6.89" },
];

test("a budget reaches the highest price whose payment is no more", () => {
  for (const row of reach(van, 60_000, TERMS)) {
    if (!row.isReached) throw new Error(row.sentence);
    expect(paymentAt(van, row, row.price)).toBeLessThanOrEqual(60_000);
    expect(paymentAt(van, row, row.price + 100)).toBeGreaterThan(60_000);
    expect(row.financed).toBe(row.price + 185_000 - 300_000);
  }
});

test("what is out of reach says why", () => {
  const owing = {
    ...van,
    structure: { ...van.structure, tradeIns: [{ allowance: 650_000, owed: 1_400_000 }] },
  };
  expect(reach(owing, 8_500, TERMS)).toEqual([
    { payments: 48, yearlyRate: "5.89", isReached: false, sentence: expect.stringContaining("85.00") },
    {
      payments: 84,
      yearlyRate: "6.89",
      isReached: true,
      financed: expect.any(Number),
      price: expect.any(Number),
      financeCharge: expect.any(Number),
    },
  ]);
});

test("a price that is reached, priced anew with its taxes and fees, costs no more than the budget", () => {
  let reached = 0;
  fc.assert(
    fc.property(structures, fc.integer({ min: 20_000, max: 150_000 }), (file, budget) => {
      if (file.find !== "payment" || file.structure.purpose !== undefined) return;
      const deal = dealOf(file);
      const [row] = reach(deal, budget, [{ payments: 60, yearlyRate: "6.19" }]);
      if (!row?.isReached) return;
      reached += 1;
      expect(paymentAt(deal, row, row.price)).toBeLessThanOrEqual(budget);
    }),
    { numRuns: runs(150), seed: 5 },
  );
  expect(reached).toBeGreaterThan(100);
});

test("the customer has paid what leaves the pocket, and owes nothing at the end", () => {
  fc.assert(
    fc.property(structures, file => {
      const quote = evaluate(dealOf(file));
      if (!quote.ok || file.structure.purpose !== undefined) return;
      const { schedule, charges, dueAtSigning, startDate } = quote.value;
      const points = moneyOverTime(quote.value);
      expect(points.at(-1)?.owed).toBe(schedule.at(-1)?.balance);
      expect(points[0]).toMatchObject({ months: 0, date: startDate, paid: dueAtSigning.total });
      expect(points.map(({ months }) => months)).toEqual(
        points.map(({ months }) => months).sort((a, b) => a - b),
      );
      // All that is paid is the total cost, but for what the trade-in was worth and a deposit that was paid before.
      const { tradeIns, deposit = 0 } = quote.value.filled.structure;
      const traded = tradeIns.reduce((sum, { allowance, owed }) => sum + (allowance ?? 0) - owed, 0);
      expect([charges === undefined, (points.at(-1)?.paid ?? 0) + traded + deposit]).toEqual([
        charges === undefined,
        quote.value.totalCost,
      ]);
    }),
    { numRuns: runs(200), seed: 8 },
  );
  const points = moneyOverTime(quoteOf(van));
  expect(moneyAfter(points, 0)).toMatchObject({ paid: 300_000, owed: 4_070_000 });
  expect(moneyAfter(points, 12).paid).toBe(300_000 + 12 * 68_397);
  expect(moneyAfter(points, 900).owed).toBe(0);
});

test("a lease has cost its total when the vehicle is handed back", () => {
  fc.assert(
    fc.property(leases, file => {
      const quote = evaluateLease(leaseOf(file));
      if (!quote.ok) return;
      const { totalIfReturned, equity, dueAtSigning } = quote.value;
      const points = moneyOverTime(quote.value);
      expect(points[0]?.paid).toBe(points.length > 1 ? dueAtSigning.total : totalIfReturned - equity);
      expect(points.at(-1)?.paid).toBe(totalIfReturned - equity);
    }),
    { numRuns: runs(120), seed: 8 },
  );
});

test("a rebate and a low rate tie where they cost the same in all", () => {
  const rebated = (amount: number) => ({
    ...van,
    structure: { ...van.structure, rebates: [{ name: "Maker's rebate", amount, isBeforeTax: false }] },
  });
  const offer = rebateOrRate(rebated(180_000), "1.9");
  if (!offer.ok) throw new Error(offer.failure.sentence);
  const { costWithRebate, costAtLowRate, tieRate, tieRebate } = offer.value;
  const costAt = (yearlyRate: string) => quoteOf({ ...van, plan: { ...van.plan, yearlyRate } }).totalCost;
  expect(costWithRebate).toBe(quoteOf(rebated(180_000)).totalCost);
  expect(costAtLowRate).toBe(costAt("1.9"));
  // Both ties are the last on the right side.
  expect(costAt(String(tieRate))).toBeLessThanOrEqual(costWithRebate);
  expect(costAt(String(Number(tieRate) + 0.01))).toBeGreaterThan(costWithRebate);
  expect(quoteOf(rebated(tieRebate ?? 0)).totalCost).toBeLessThanOrEqual(costAtLowRate);
  expect(quoteOf(rebated((tieRebate ?? 0) - 100)).totalCost).toBeGreaterThan(costAtLowRate);
  expect(rebateOrRate(van, "1.9")).toMatchObject({ ok: false, failure: { figure: "rebates" } });
});
