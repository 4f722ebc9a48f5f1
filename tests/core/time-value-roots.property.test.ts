// Rates of the five-figure time value, put back into their equation at 60 digits.
import Decimal from "decimal.js";
import fc from "fast-check";
import { periodsPerYear, solveTimeValue, type TimeValue } from "@/core";

const Digits = Decimal.clone({ precision: 60 });

const money = fc
  .tuple(
    fc.oneof(fc.constant(0), fc.integer({ min: 1, max: 10_000_000 })),
    fc.constantFrom("received", "paid"),
  )
  .map(([amount, direction]) => ({ amount, direction: direction as "received" | "paid" }));

const plans = fc.record({
  find: fc.constant("yearlyRate" as const),
  currency: fc.constant("USD"),
  presentValue: money,
  payment: money,
  futureValue: money,
  payments: fc.oneof(fc.integer({ min: 1, max: 24 }), fc.integer({ min: 25, max: 1200 })),
  yearlyRate: fc.constant(null),
  frequency: fc.constantFrom("weekly" as const, "monthly" as const, "quarterly" as const, "yearly" as const),
  timing: fc.constantFrom("arrears" as const, "advance" as const),
});

const signed = (each: TimeValue["payment"]) =>
  each ? (each.direction === "received" ? 1 : -1) * each.amount : 0;

/** Worth at a rate of one period above −1, and the sum of the sizes, each scaled by what is largest. */
function worthAt(plan: TimeValue, periodic: Decimal): { worth: Decimal; moved: Decimal } {
  const growth = periodic.plus(1);
  const count = plan.payments ?? 1;
  const power = growth.pow(-count);
  const each = periodic.isZero() ? new Digits(count) : new Digits(1).minus(power).div(periodic);
  const annuity = plan.timing === "advance" ? each.mul(growth) : each;
  const parts = [
    new Digits(signed(plan.presentValue)),
    annuity.mul(signed(plan.payment)),
    power.mul(signed(plan.futureValue)),
  ];
  const sum = (values: Decimal[]) => values.reduce((a, b) => a.plus(b), new Digits(0));
  return { worth: sum(parts), moved: sum(parts.map(part => part.abs())) };
}

const percents = Array.from({ length: 121 }, (_, k) => (k - 60) / 4);

test("a rate solves its equation; where there is none, what is received and paid never meet", () => {
  let [found, none] = [0, 0];
  fc.assert(
    fc.property(plans, plan => {
      const answer = solveTimeValue(plan);
      if (answer.ok) {
        found += 1;
        const periodic = new Digits(answer.value.yearlyRate).div(100 * periodsPerYear(plan.frequency));
        if (periodic.lte(-1 + 1e-9)) return;
        // The last place of the rate moves the worth a little: its sign changes within it.
        const off = Decimal.max(periodic.abs().mul(1e-11), 1e-14);
        const [below, above] = [periodic.minus(off), periodic.plus(off)].map(
          rate => worthAt(plan, rate).worth.s,
        );
        const { worth, moved } = worthAt(plan, periodic);
        const isRoot = below !== above || worth.abs().lte(moved.mul(1e-12));
        expect([plan, answer.value.yearlyRate, isRoot]).toEqual([plan, answer.value.yearlyRate, true]);
        return;
      }
      none += 1;
      // From −99.99…% to many thousand percent a period, always the same sign.
      const signs = new Set(
        percents
          .map(log => worthAt(plan, new Digits(Math.exp(log)).minus(1)).worth.s)
          .filter(sign => sign !== 0),
      );
      expect([plan, signs.size <= 1]).toEqual([plan, true]);
    }),
    { numRuns: 700 },
  );
  expect(Math.min(found, none)).toBeGreaterThan(60);
});
