import fc from "fast-check";
import { costOfCredit, evaluate, type LoanDeal, paymentPerThousand, payoffAfter, working } from "@/core";
import { date, dealWith, quoteOf, sentenceOf } from "./deals";

const TWELVE = dealWith({ price: 1_200_000 }, { kind: "equalPrincipal" });
const plan = (deal: LoanDeal, change: Partial<LoanDeal["plan"]>): LoanDeal => ({
  ...deal,
  plan: { ...deal.plan, ...change },
});

test("12,000.00 over 12 months at 6 %: 1,000.00 of principal each time, and payments that fall by 5.00", () => {
  const quote = quoteOf(TWELVE);
  expect(quote.schedule.map(row => row.payment)).toEqual(
    Array.from({ length: 12 }, (_, k) => 106_000 - 500 * k),
  );
  expect(quote.schedule.every(row => row.principal === 100_000)).toBe(true);
  // 12,000 × 0.5 % × (1 + 11/12 + … + 1/12)
  expect(quote).toMatchObject({
    kind: "equalPrincipal",
    payment: 106_000,
    solved: 100_000,
    isLevel: false,
    financeCharge: 39_000,
    finalPayment: 100_500,
  });
});

test("rounding and step apply to each part of the principal; the last payment takes what they leave", () => {
  const quote = quoteOf(plan(TWELVE, { payments: 7, rounding: "down", roundingStep: 100 }));
  // 12,000 ÷ 7 = 1,714.28…, down to 1,714.00; the seventh is 12,000 − 6 × 1,714.
  expect(quote.schedule.map(row => row.principal)).toEqual([...Array(6).fill(171_400), 171_600]);
});

test("a balloon and an interest-only start leave the parts to what is between them", () => {
  const quote = quoteOf(plan(TWELVE, { interestOnly: 2, balloon: { amount: 200_000 } }));
  expect(quote.schedule.map(row => row.principal)).toEqual([0, 0, ...Array(10).fill(100_000), 200_000]);
  expect(quote.payment).toBe(106_000);
});

test("steps, skipped months and listed payments are refused with a sentence", () => {
  const signed = date("2027-01-15");
  expect(sentenceOf(plan(TWELVE, { steps: [{ from: 3, percent: "5" }] }))).toBe(
    "An equal-principal loan cannot have steps; each payment repays the same part of the principal.",
  );
  expect(sentenceOf(plan(TWELVE, { signed, skippedMonths: [7] }))).toContain("cannot have skipped months");
  const list = [{ date: date("2027-03-01"), amount: null }];
  expect(sentenceOf(plan(TWELVE, { signed, datedPayments: list }))).toContain(
    "cannot have a list of payments",
  );
});

test("APR, payoff, the payment for each 1,000 and the working follow it", () => {
  const quote = quoteOf(plan(TWELVE, { signed: date("2027-01-15") }));
  const cost = costOfCredit(quote);
  // Payments that pay each month's interest whole cost the yearly rate itself.
  expect(cost.ok && cost.value.apr).toBeCloseTo(6, 9);
  expect(cost.ok && cost.value.effectiveRate).toBeCloseTo(100 * (1.005 ** 12 - 1), 9);
  const payoff = payoffAfter(quote, 5);
  expect(payoff.ok && payoff.value.payoff).toBe(700_000);
  const [row] = paymentPerThousand(TWELVE, ["6"], [7]);
  expect(row).toMatchObject({ payment: 14_286 + 500, unrounded: expect.closeTo(100_000 / 7 + 500, 6) });
  expect(working(quote, "payment")).toMatchObject({
    filled: "1,000.00 + 60.00",
    result: "1,060.00",
    parts: [{ filled: "12,000.00 ÷ 12" }, {}, {}],
  });
});

test("the payment for each 1,000 of a plan whose payments are all given is refused", () => {
  const given = dealWith({}, { payments: 4, interestOnly: 1, steps: [{ from: 2, amount: 300_000 }] });
  const [row] = paymentPerThousand(given, ["6"], [4]);
  expect(row).toMatchObject({ sentence: expect.stringContaining("Every payment is given") });
});

/** What is taken out of a deal, and how a deal takes a figure in its place. */
const FOUND: Record<
  string,
  { find: LoanDeal["find"]; put: (deal: LoanDeal, figure: number | null) => LoanDeal; next: 1 | -1 }
> = {
  price: {
    find: "price",
    put: (deal, price) => ({ ...deal, structure: { ...deal.structure, price } }),
    next: 1,
  },
  down: {
    find: "down",
    put: (deal, amount) => ({
      ...deal,
      structure: { ...deal.structure, down: amount === null ? null : { amount } },
    }),
    next: -1,
  },
  payments: { find: "payments", put: (deal, payments) => plan(deal, { payments }), next: -1 },
  balloon: {
    find: "balloon",
    put: (deal, amount) => plan(deal, { balloon: amount === null ? null : { amount } }),
    next: -1,
  },
};

test("figures are found from the first regular payment, the last on the right side", () => {
  const deals = fc.record({
    price: fc.integer({ min: 500_000, max: 9_000_000 }),
    down: fc.integer({ min: 1, max: 100_000 }),
    yearlyRate: fc.integer({ min: 1, max: 3000 }).map(n => (n / 100).toFixed(2)),
    payments: fc.integer({ min: 3, max: 120 }),
    balloon: fc.integer({ min: 1, max: 300_000 }),
  });
  fc.assert(
    fc.property(deals, fc.constantFrom(...Object.keys(FOUND)), (drawn, name) => {
      const deal = dealWith(
        { price: drawn.price, down: { amount: drawn.down } },
        {
          kind: "equalPrincipal",
          yearlyRate: drawn.yearlyRate,
          payments: drawn.payments,
          balloon: { amount: drawn.balloon },
        },
      );
      const known = evaluate(deal);
      if (!known.ok || known.value.payments < drawn.payments) return;
      const { find, put, next } = FOUND[name] as (typeof FOUND)[string];
      const asked = known.value.payment;
      const found = quoteOf({ ...plan(put(deal, null), { payment: asked }), find });
      expect(found.payment).toBeLessThanOrEqual(asked);
      const { filled } = found;
      const down = filled.structure.down;
      const figure = {
        price: filled.structure.price,
        down: down && "amount" in down ? down.amount : null,
        payments: filled.plan.payments,
        balloon: found.agreedBalloon,
      }[name];
      if (figure === null || figure === undefined) throw new Error("Nothing was found.");
      // Less than nothing cannot be tried.
      if (figure + next < 0) return;
      const beyond = evaluate(put({ ...filled, find: "payment" }, figure + next));
      expect(beyond.ok ? beyond.value.payment : Number.POSITIVE_INFINITY).toBeGreaterThan(asked);
    }),
    { numRuns: 600 },
  );
});

test("a rate is found from the payment and from the cost", () => {
  const open = { ...plan(TWELVE, { yearlyRate: null, payment: 106_000 }), find: "yearlyRate" as const };
  expect(quoteOf(open).yearlyRate).toBe("6");
  const from = { figure: "financeCharge" as const, value: 39_000 };
  const costing = { ...plan(TWELVE, { yearlyRate: null }), find: "yearlyRate" as const, from };
  expect(quoteOf(costing).financeCharge).toBe(39_000);
});
