import type { ExtraFile } from "@/exchange/extra-payments/extra.schema";
import { hasAmounts, intoPlan, outOfPlan } from "@/features/deal/repayment/early-and-plan";
import { withEarly, withOnceAt } from "@/features/deal/repayment/early-changes";

const LUMP = { after: 24, amount: "4000.00" };
const LOWERS = { after: 30, amount: "500.00", then: "lowerPayments" } as const;

test("what is tried moves into the plan, but for money that lowers payments; and back", () => {
  const early: ExtraFile = { each: { amount: "50", from: 2 }, once: [{ ...LUMP, then: "sooner" }, LOWERS] };
  const moved = intoPlan({ plan: {}, early });
  expect(moved).toEqual({
    plan: { each: { amount: "50", from: 2 }, once: [LUMP] },
    early: { once: [LOWERS] },
  });
  expect(outOfPlan(moved)).toEqual({
    plan: {},
    early: { each: { amount: "50", from: 2 }, once: [LOWERS, LUMP] },
  });
});

test("what the plan has already stays where it is, and what is trimmed goes in trimmed", () => {
  const plan: ExtraFile = { each: "10", once: [{ after: 3, amount: "1" }] };
  const early: ExtraFile = { each: "20", yearly: { amount: "100", month: 3 }, once: [LUMP] };
  expect(intoPlan({ plan, early }, () => "37.50")).toEqual({
    plan: {
      each: "10",
      yearly: { amount: "100", month: 3 },
      once: [
        { after: 3, amount: "1" },
        { after: 24, amount: "37.50" },
      ],
    },
    early: { each: "20" },
  });
});

test("asides have nothing of an option on which nothing is tried any more", () => {
  const tried = withEarly({ return: { rate: "4" } }, "a", { each: "5" });
  expect(tried).toEqual({ return: { rate: "4" }, options: { a: { early: { each: "5" } } } });
  expect(withEarly(tried, "b", {})).toEqual(tried);
  expect(withEarly(tried, "a", {})).toEqual({ return: { rate: "4" } });
  expect(withOnceAt({ once: [LUMP, LUMP] }, 1, { amount: "7" }).once).toEqual([
    LUMP,
    { after: 24, amount: "7" },
  ]);
});

test("nothing is tried while all amounts are nothing", () => {
  expect(hasAmounts({ each: "0", once: [{ after: 1, amount: "0.00" }] })).toBe(false);
  expect(hasAmounts({ each: { amount: "1" } })).toBe(true);
  expect(hasAmounts({ yearly: { amount: "1", month: 1 } })).toBe(true);
});
