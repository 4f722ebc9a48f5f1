import fc from "fast-check";
import {
  evaluate,
  type FoundFigure,
  FREQUENCIES,
  type KnownFigure,
  type LoanDeal,
  type LoanQuote,
  periodsPerYear,
} from "@/core";
import { runs } from "../runs";
import { date, dealWith, owedOf, quoteOf, withPlan, withStructure } from "./deals";

/** How each figure is written into a deal, read from an answer, and which way the known figures go with it. */
type Figure = {
  find: FoundFigure;
  put: (deal: LoanDeal, whole: number) => LoanDeal;
  leaveOut: (deal: LoanDeal) => LoanDeal;
  of: (quote: LoanQuote) => number;
  rising: KnownFigure[];
  falling: KnownFigure[];
};

const RESULTS: KnownFigure[] = ["payment", "totalCost", "financeCharge", "amountFinanced"];

const FIGURES: Figure[] = [
  {
    find: "price",
    put: (deal, price) => withStructure(deal, { price }),
    leaveOut: deal => withStructure(deal, { price: null }),
    of: quote => quote.price,
    rising: RESULTS,
    falling: [],
  },
  {
    find: "down",
    put: (deal, amount) => withStructure(deal, { down: { amount } }),
    leaveOut: deal => withStructure(deal, { down: null }),
    of: quote => quote.down,
    rising: [],
    falling: RESULTS,
  },
  {
    find: "allowance",
    put: (deal, allowance) => withStructure(deal, { tradeIns: [{ owed: owedOf(deal), allowance }] }),
    leaveOut: deal => withStructure(deal, { tradeIns: [{ owed: owedOf(deal), allowance: null }] }),
    of: quote => quote.allowance,
    rising: [],
    falling: RESULTS,
  },
  {
    find: "balloon",
    put: (deal, amount) => withPlan(deal, { balloon: { amount } }),
    leaveOut: deal => withPlan(deal, { balloon: null }),
    of: quote => quote.agreedBalloon,
    rising: ["totalCost", "financeCharge"],
    falling: ["payment"],
  },
  {
    find: "extra",
    put: (deal, amount) => withPlan(deal, { extra: { each: { amount } } }),
    leaveOut: deal => withPlan(deal, { extra: { each: { amount: null } } }),
    of: quote => quote.extraEach,
    rising: [],
    falling: ["totalCost", "financeCharge", "endDate", "payments"],
  },
];

function knownOf(quote: LoanQuote, known: KnownFigure): number {
  return {
    payment: quote.payment,
    totalCost: quote.totalCost,
    financeCharge: quote.financeCharge,
    loanAmount: quote.loanAmount,
    amountFinanced: quote.amountFinanced,
    dueAtSigning: quote.dueAtSigning.total,
    cashReceived: quote.cashReceived ?? 0,
    endDate: quote.finalDate ?? 0,
    payments: quote.payments,
  }[known];
}

const bases = fc
  .record({
    price: fc.integer({ min: 500_000, max: 6_000_000 }),
    down: fc.integer({ min: 0, max: 200_000 }),
    allowance: fc.integer({ min: 0, max: 200_000 }),
    owed: fc.integer({ min: 0, max: 300_000 }),
    yearlyRate: fc.integer({ min: 100, max: 25_000 }).map(n => String(n / 1000)),
    payments: fc.integer({ min: 6, max: 84 }),
    frequency: fc.constantFrom(...FREQUENCIES),
    rounding: fc.constantFrom("nearest" as const, "up" as const, "down" as const),
    roundingStep: fc.constantFrom(1, 1, 5),
    timing: fc.constantFrom("arrears" as const, "advance" as const),
    balloon: fc.integer({ min: 0, max: 100_000 }),
    each: fc.integer({ min: 1, max: 20_000 }),
  })
  .map(({ price, down, allowance, owed, ...rest }) => ({
    deal: dealWith(
      { price, down: { amount: down }, tradeIns: [{ allowance, owed }] },
      {
        yearlyRate: rest.yearlyRate,
        payments: rest.payments,
        frequency: rest.frequency,
        rounding: rest.rounding,
        roundingStep: rest.roundingStep,
        timing: rest.timing,
        signed: date("2026-11-24"),
      },
    ),
    balloon: rest.balloon,
    each: rest.each,
  }));

const LOOKED_PAST = 25;

/**
 * Whether rounding a payment by half a cent comes to little by the end. In fifty years at 20 % it grows to many
 * payments, and costs go up and down with the price as far as one looks.
 */
function growsLittle({ plan: { yearlyRate, payments, frequency } }: LoanDeal): boolean {
  return (Number(yearlyRate) * (payments ?? 0)) / periodsPerYear(frequency) <= 300;
}

/** The deal with a balloon or an extra, where that is to be found. */
function withPart(figure: Figure, deal: LoanDeal, balloon: number, each: number): LoanDeal {
  if (figure.find === "balloon") return figure.put(deal, balloon);
  return figure.find === "extra" ? figure.put(deal, each) : deal;
}

/** The deal with a figure left open, to be found from a known one. */
function opened(figure: Figure, known: KnownFigure, deal: LoanDeal, asked: number): LoanDeal {
  const open: LoanDeal = { ...figure.leaveOut(deal), find: figure.find };
  return known === "payment"
    ? withPlan(open, { payment: asked })
    : { ...open, from: { figure: known, value: asked } };
}

/** The known figure at a tried number; without end where there is no such deal. */
function measure(deal: LoanDeal, figure: Figure, known: KnownFigure, whole: number): number {
  const { from: _from, ...rest } = figure.put(deal, whole);
  const quote = evaluate({ ...rest, find: "payment" });
  return quote.ok ? knownOf(quote.value, known) : Number.POSITIVE_INFINITY;
}

test.each(
  FIGURES.flatMap(figure =>
    [...figure.rising, ...figure.falling].map(known => [figure.find, known, figure] as const),
  ),
)("%s from the %s is the last one on the right side of it", (_, known, figure) => {
  fc.assert(
    fc.property(bases, ({ deal, balloon, each }) => {
      const base = evaluate(withPart(figure, deal, balloon, each));
      if (!base.ok || !growsLittle(deal)) return;
      const asked = knownOf(base.value, known);
      if (asked <= 0) return;
      const answer = evaluate(opened(figure, known, deal, asked));
      if (!answer.ok) throw new Error(answer.failure.sentence);
      const found = figure.of(answer.value);
      expect(knownOf(answer.value, known)).toBeLessThanOrEqual(asked);
      const onwards = figure.rising.includes(known) ? 1 : -1;
      // The base is on the right side too, so the last one is not before it.
      expect(onwards * (found - figure.of(base.value))).toBeGreaterThanOrEqual(0);
      for (let step = 1; step <= LOOKED_PAST && found + onwards * step >= 0; step++) {
        expect([step, measure(deal, figure, known, found + onwards * step) > asked]).toEqual([step, true]);
      }
    }),
    { numRuns: runs(50) },
  );
});

test("a rate and a number of payments are found back from payment, cost and end date", () => {
  fc.assert(
    fc.property(bases, ({ deal }) => {
      if (!growsLittle(deal)) return;
      const base = quoteOf(deal);
      const rate = evaluate(
        withPlan({ ...deal, find: "yearlyRate" }, { yearlyRate: null, payment: base.payment }),
      );
      expect(rate.ok && rate.value.payment).toBe(base.payment);
      const cost = base.financeCharge;
      if (cost > 0) {
        const from = { figure: "financeCharge" as const, value: cost };
        const dear = evaluate({ ...withPlan(deal, { yearlyRate: null }), find: "yearlyRate", from });
        expect(dear.ok && dear.value.financeCharge).toBeLessThanOrEqual(cost);
        expect(dear.ok && dear.value.financeCharge).toBeGreaterThan(cost * 0.99 - 200);
      }
      const count = evaluate(
        withPlan({ ...deal, find: "payments" }, { payments: null, payment: base.payment }),
      );
      expect(count.ok && count.value.payment).toBeLessThanOrEqual(base.payment);
      expect(count.ok && count.value.plannedPayments).toBeLessThanOrEqual(base.plannedPayments);
      const end = { figure: "endDate" as const, value: date("2028-06-30") };
      const dated = evaluate({ ...withPlan(deal, { payments: null }), from: end });
      if (dated.ok) expect(dated.value.finalDate).toBeLessThanOrEqual(end.value);
    }),
    { numRuns: runs(200) },
  );
});

test("a number of payments is found for plans that start or step, from the payment and from the cost", () => {
  const shapes: Partial<LoanDeal["plan"]>[] = [
    { interestOnly: 6 },
    { deferred: { payments: 4, interest: "accrues" } },
    { steps: [{ from: 13, percent: "5" }] },
    { skippedMonths: [7, 12], signed: date("2026-11-24") },
  ];
  for (const shape of shapes) {
    const base = quoteOf(dealWith({}, { ...shape, payments: 36 }));
    const open = dealWith({}, { ...shape, payments: null });
    const byPayment = quoteOf(withPlan({ ...open, find: "payments" }, { payment: base.payment }));
    expect(byPayment.payment).toBeLessThanOrEqual(base.payment);
    const oneLess = evaluate(withPlan(open, { payments: byPayment.plannedPayments - 1 }));
    expect(oneLess.ok ? oneLess.value.payment : Number.POSITIVE_INFINITY).toBeGreaterThan(base.payment);
    const from = { figure: "totalCost" as const, value: base.totalCost };
    const byCost = quoteOf({ ...open, find: "payments", from });
    expect(byCost.totalCost).toBeLessThanOrEqual(base.totalCost);
    expect(byCost.plannedPayments).toBeGreaterThanOrEqual(35);
  }
  const listed = evaluate({
    ...dealWith({}, { payments: null, payment: 100, signed: 0, datedPayments: [{ date: 50, amount: null }] }),
    find: "payments",
  });
  expect(listed.ok ? "" : listed.failure.sentence).toContain("has its own number");
});

test("the one dated payment that is left open is found, and the list closes on it", () => {
  const signed = date("2027-01-15");
  const list = [
    { date: date("2027-03-01"), amount: 200_000 },
    { date: date("2027-07-01"), amount: null },
    { date: date("2027-12-24"), amount: 300_000 },
  ];
  const quote = quoteOf(dealWith({}, { yearlyRate: "8", payments: null, signed, datedPayments: list }));
  // Compounding at each payment, actual/365: 45, 122 and 176 days.
  const [a, b, c] = [45, 122, 176].map(days => 1 + (0.08 * days) / 365) as [number, number, number];
  const open = (1_000_000 - 200_000 / a - 300_000 / (a * b * c)) * a * b;
  expect(quote.payment).toBe(Math.round(open));
  expect(quote.schedule.map(row => row.payment).slice(0, 2)).toEqual([200_000, quote.payment]);
  expect(Math.abs(quote.finalPayment - 300_000)).toBeLessThanOrEqual(2);
  expect(quote.schedule.at(-1)?.balance).toBe(0);
});
