// Extra payments beside a plan, each table row by row against whole numbers written apart.
import fc from "fast-check";
import { type Extra, evaluate, isoDate, repaidEarly } from "@/core";
import { fewerRuns } from "../runs";
import { date, dealWith } from "./deals";
import { plusDays } from "./exact-dates";
import { type ExactPlan, exactPlanTable } from "./exact-plan";
import { corePlan, drawnPlans, toPlan } from "./random-plans";

const RUNS = fewerRuns(300, 1000);

const amountShare = fc.oneof(
  { weight: 6, arbitrary: fc.double({ min: 0.001, max: 0.3, noNaN: true }) },
  { weight: 1, arbitrary: fc.double({ min: 0.3, max: 2, noNaN: true }) },
);

/** A plan without extras of its own, and extra payments of every kind. */
const tried = fc.record({
  drawn: drawnPlans.map(drawn => toPlan({ ...drawn, extraEach: 0, once: 0 })),
  each: fc.oneof(fc.constant(0), fc.double({ min: 0.0001, max: 0.05, noNaN: true })),
  from: fc.integer({ min: 1, max: 40 }),
  length: fc.oneof(fc.constant(10_000), fc.integer({ min: 0, max: 30 })),
  once: fc.array(
    fc.record({ at: fc.double({ min: 0, max: 1, noNaN: true }), share: amountShare, lowers: fc.boolean() }),
    { maxLength: 4 },
  ),
});

type Tried = typeof tried extends fc.Arbitrary<infer Value> ? Value : never;

function exactOf({ drawn, each, from, length, once }: Tried): ExactPlan {
  const lifeDays = Math.floor((drawn.payments * 365) / 53);
  const share = (part: number) => BigInt(Math.max(Math.floor(Number(drawn.amount) * part), 1));
  return {
    ...drawn,
    trims: true,
    extraEach: each > 0 ? share(each) : 0n,
    eachFrom: from,
    eachTo: from + length,
    once: once.map(({ at, share: part, lowers }) => ({
      date: plusDays(drawn.signed, Math.floor(at * lifeDays)),
      amount: share(part),
      lowers,
    })),
  };
}

const earlyOf = ({ extraEach, eachFrom = 1, eachTo = 1, once }: ExactPlan): Extra => ({
  ...(extraEach > 0n && { each: { amount: Number(extraEach), from: eachFrom, to: eachTo } }),
  once: once.map(({ date: on, amount, lowers }) => ({
    date: date(on),
    amount: Number(amount),
    effect: lowers ? ("lowerPayments" as const) : ("sooner" as const),
  })),
});

test(`${RUNS} plans with extra payments of every kind agree with whole numbers, row by row`, () => {
  let [compared, lowered] = [0, 0];
  fc.assert(
    fc.property(tried, each => {
      const plan = exactOf(each);
      const deal = dealWith({ price: Number(plan.amount) }, corePlan({ ...plan, extraEach: 0n, once: [] }));
      const quote = evaluate(deal);
      const planned = exactPlanTable({ ...plan, extraEach: 0n, once: [] });
      if (!quote.ok || !planned) return;
      const exact = exactPlanTable(plan);
      const repaid = repaidEarly(quote.value, earlyOf(plan));
      expect(repaid.ok).toBe(exact !== undefined);
      if (!repaid.ok || !exact) return;
      const rows = repaid.value.schedule.map(row => ({
        date: isoDate(row.date ?? 0),
        payment: BigInt(row.payment),
        interest: BigInt(row.interest),
        principal: BigInt(row.principal),
        balance: BigInt(row.balance),
      }));
      expect(rows).toEqual(exact.rows);
      compared += 1;
      if (repaid.value.solved !== quote.value.solved) lowered += 1;
    }),
    { numRuns: RUNS },
  );
  // Not just plans that are refused, nor just ones whose payments stay.
  expect(compared).toBeGreaterThan(RUNS / 3);
  expect(lowered).toBeGreaterThan(RUNS / 10);
});
