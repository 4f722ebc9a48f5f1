// What is found ends the loan in time, and one step less does not, by tables of whole numbers written apart.
import fc from "fast-check";
import { type ExtraMoney, evaluate, isoDate, paidOffBy, repaidEarly } from "@/core";
import { fewerRuns } from "../runs";
import { date, dealWith, quoteOf } from "./deals";
import { stepped } from "./exact-dates";
import { type ExactPlan, exactPlanTable } from "./exact-plan";
import { corePlan, drawnPlans, toPlan } from "./random-plans";

const RUNS = fewerRuns(80, 200);

const asked = fc.record({
  plan: drawnPlans.map(drawn =>
    toPlan({ ...drawn, extraEach: 0, once: 0, payments: Math.min(drawn.payments, 60) }),
  ),
  at: fc.double({ min: 0.2, max: 1, noNaN: true }),
  from: fc.double({ min: 0, max: 0.9, noNaN: true }),
  isOnce: fc.boolean(),
  isByDate: fc.boolean(),
  later: fc.option(
    fc.record({ share: fc.double({ min: 0.01, max: 0.2, noNaN: true }), lowers: fc.boolean() }),
    {
      nil: undefined,
    },
  ),
});

type Asked = typeof asked extends fc.Arbitrary<infer Value> ? Value : never;

/** The plan with so much each time, or once, and what else is tried. */
function exactWith(
  { plan, from, isOnce, later }: Asked,
  amount: bigint,
  dates: readonly string[],
): ExactPlan {
  const number = 1 + Math.floor(from * (dates.length - 1));
  const own = isOnce && amount > 0n ? [{ date: dates[number - 1] ?? "", amount }] : [];
  return {
    ...plan,
    trims: true,
    extraEach: isOnce ? 0n : amount,
    eachFrom: number,
    once: [...own, ...otherOf({ plan, later }, dates)],
  };
}

function otherOf({ plan, later }: Pick<Asked, "plan" | "later">, dates: readonly string[]) {
  const on = dates[Math.floor(dates.length / 2)];
  if (!later || on === undefined) return [];
  return [{ date: on, amount: BigInt(Math.ceil(Number(plan.amount) * later.share)), lowers: later.lowers }];
}

test(`${RUNS} times the extra that pays a loan off in time does, and one step less does not`, () => {
  let found = 0;
  fc.assert(
    fc.property(asked, each => {
      const { plan, isOnce, isByDate, at } = each;
      const quote = evaluate(dealWith({ price: Number(plan.amount) }, corePlan(plan)));
      const planned = exactPlanTable(plan);
      if (!quote.ok || !planned) return;
      const dates = [...new Set(planned.rows.map(row => row.date))];
      const target = dates[Math.floor(at * (dates.length - 1))] ?? "";
      const number = 1 + Math.floor(each.from * (dates.length - 1));
      const others = otherOf(each, dates).map(other => ({
        date: date(other.date),
        amount: Number(other.amount),
        effect: other.lowers ? ("lowerPayments" as const) : ("sooner" as const),
      }));
      // Money of the same day would be put in its place.
      if (isOnce && others.some(other => isoDate(other.date) === dates[number - 1])) return;
      const using: ExtraMoney = isOnce ? { after: number } : { each: { from: number } };
      const by = isByDate ? { date: date(target) } : { payments: dates.indexOf(target) + 1 };
      const answer = paidOffBy(quote.value, { once: others }, by, using);
      const endOf = (amount: bigint) =>
        exactPlanTable(exactWith(each, amount, dates))?.rows.at(-1)?.date ?? "9";
      if (!answer.ok) {
        const isNeeded = endOf(0n) > target;
        const isPossible = endOf(10n * plan.amount + 100_000n * plan.step) <= target;
        expect([answer.failure.sentence, isNeeded && isPossible]).toEqual([answer.failure.sentence, false]);
        return;
      }
      const amount = BigInt(answer.value.amount);
      expect(amount % plan.step).toBe(0n);
      expect(endOf(amount) <= target).toBe(true);
      expect(endOf(amount - plan.step) <= target).toBe(false);
      found += 1;
    }),
    { numRuns: RUNS },
  );
  expect(found).toBeGreaterThan(RUNS / 5);
});

test("of every step from nothing on, what is found is the first that does: 100 small loans, each scanned", () => {
  let scanned = 0;
  const small = fc.record({
    price: fc.integer({ min: 1_000, max: 6_000 }),
    payments: fc.integer({ min: 3, max: 24 }),
    yearlyRate: fc.integer({ min: 0, max: 3000 }).map(n => String(n / 100)),
    balloon: fc.constantFrom(0, 0, 200),
    at: fc.double({ min: 0.3, max: 0.95, noNaN: true }),
    lowers: fc.boolean(),
    isOnce: fc.boolean(),
  });
  fc.assert(
    fc.property(small, ({ price, payments, yearlyRate, balloon, at, lowers, isOnce }) => {
      const quote = quoteOf(
        dealWith({ price }, { payments, yearlyRate, ...(balloon > 0 && { balloon: { amount: balloon } }) }),
      );
      const target = Math.max(Math.floor(payments * at), 2);
      const once = lowers
        ? [
            {
              after: Math.max(target - 1, 1),
              amount: Math.ceil(price / 20),
              effect: "lowerPayments" as const,
            },
          ]
        : [];
      const using: ExtraMoney = isOnce ? { after: target } : { each: {} };
      const answer = paidOffBy(quote, { once }, { payments: target }, using);
      if (!answer.ok) return;
      const inTime = (amount: number) => {
        const early = isOnce ? { once: [...once, { after: target, amount }] } : { once, each: { amount } };
        const repaid = repaidEarly(quote, early);
        return repaid.ok && repaid.value.payments <= target && repaid.value.balloon === 0;
      };
      let first = 1;
      while (!inTime(first)) first += 1;
      expect(answer.value.amount).toBe(first);
      scanned += 1;
    }),
    { numRuns: 110 },
  );
  expect(scanned).toBeGreaterThanOrEqual(100);
});

test("a date and the payment that falls on it ask for the same", () => {
  const quote = quoteOf(
    dealWith({ price: 3_842_500 }, { yearlyRate: "6.49", payments: 72, signed: date("2026-11-29") }),
  );
  const on60 = stepped("2026-11-29", "monthly", 60);
  const byDate = paidOffBy(quote, {}, { date: date(on60) }, { each: {} });
  expect(byDate.ok && byDate.value.amount).toBe(10_591);
  const lump = paidOffBy(quote, {}, { payments: 60 }, { date: date(stepped("2026-11-29", "monthly", 24)) });
  expect(lump.ok && lump.value.amount).toBe(616_244);
});
