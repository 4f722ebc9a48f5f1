// However much work a question is: it ends, says so where it had to, and what it found is on the right side.
import fc from "fast-check";
import { type FoundFigure, type KnownFigure, type LoanDeal, summarize } from "@/core";
import { withinBudget } from "@/core/solve";
import { date, dealWith, withPlan, withStructure } from "./deals";

const MOST_ROWS = 500_000;

const DEFERRED: LoanDeal["plan"]["deferred"][] = [
  undefined,
  { payments: 6, interest: "accrues" },
  { payments: 6, interest: "waived" },
];

/** Deals of 1,200 payments by the days of each period, asked for a figure that takes hundreds of tables. */
const heavyDeals = fc
  .record({
    asked: fc.integer({ min: 100, max: 20_000_000 }),
    yearlyRate: fc.constantFrom("3.9", "9.99", "22.47", "60"),
    compounding: fc.constantFrom("quarterly" as const, "daily" as const),
    deferred: fc.constantFrom(...DEFERRED),
    balloon: fc.constantFrom(null, { amount: 500_000 }),
    find: fc.constantFrom<FoundFigure>("price", "down"),
    known: fc.constantFrom<KnownFigure>("financeCharge", "totalCost"),
  })
  .map(({ asked, find, known, ...plan }) => ({
    ...dealWith(
      { price: find === "price" ? null : 3_000_000, down: find === "down" ? null : { amount: 0 } },
      { ...plan, payments: 1200, dayCount: "actual/365", signed: date("2026-11-25") },
      find,
    ),
    from: { figure: known, value: asked },
  }));

test("what is found with much work is on the right side, or the sentence says that it was too much", () => {
  const heard = new Set<string>();
  fc.assert(
    fc.property(heavyDeals, deal => {
      const quote = summarize(deal);
      if (!quote.ok) {
        heard.add(quote.failure.sentence.replace(/^Finding .* takes/, "Finding takes").slice(0, 20));
        return;
      }
      const { price, down, note } = quote.value;
      heard.add(note?.slice(0, 17) ?? "sure");
      const { from: _from, ...put } = withPlan(withStructure(deal, { price, down: { amount: down } }), {
        payment: null,
      });
      const again = summarize({ ...put, find: "payment" });
      if (!again.ok) throw new Error(again.failure.sentence);
      expect(again.value[deal.from.figure as "totalCost"]).toBeLessThanOrEqual(deal.from.value);
    }),
    { numRuns: 12, seed: 5 },
  );
  expect(heard).toContain("The search ended ");
});

test("a question that takes too much work is refused with what would take less", () => {
  const balloon = dealWith(
    { price: 4_805_855 },
    {
      payments: 1200,
      yearlyRate: "60",
      dayCount: "actual/365",
      compounding: "quarterly",
      signed: date("2026-11-25"),
      extra: { once: [{ date: date("2027-05-20"), amount: 1_029_006 }] },
      balloon: null,
    },
    "balloon",
  );
  const quote = summarize({ ...balloon, from: { figure: "financeCharge", value: 1_426_503 } });
  expect(quote.ok ? "" : quote.failure.sentence).toBe(
    "Finding the balloon from the finance charge takes more work than one answer may: 500,000 lines of repayment tables were tried. Give the balloon, or fewer payments.",
  );
});

test("an everyday refusal of the longest loan is within the budget", () => {
  const deal = withPlan(dealWith({ price: 3_000_000 }, {}, "payments"), {
    payments: null,
    payment: 12_000,
    yearlyRate: "9.99",
    dayCount: "30/360",
    compounding: "daily",
    signed: date("2026-11-25"),
  });
  const quote = summarize(deal);
  expect(quote.ok ? "" : quote.failure.sentence).toContain("does not cover the first interest of 250.76");
});

test("a function within a budget is asked until the budget is spent, and never after", () => {
  let asked = 0;
  const { at, isSpent } = withinBudget(
    whole => {
      asked += 1;
      return whole;
    },
    () => 1000,
    MOST_ROWS,
  );
  for (let k = 0; k < 500; k++) expect(at(k)).toBe(k);
  expect(isSpent()).toBe(false);
  expect(at(500)).toBe(Number.POSITIVE_INFINITY);
  expect([isSpent(), asked]).toEqual([true, 500]);
});
