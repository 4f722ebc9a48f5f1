// Plans at the edges, with numbers worked out apart from the core.
import type { LoanDeal, LoanPlan, LoanQuote } from "@/core";
import { date, dealWith, quoteOf } from "./deals";

const SIGNED = date("2027-01-01");
const open = (
  find: LoanDeal["find"],
  structure: Partial<LoanDeal["structure"]>,
  plan: Partial<LoanPlan>,
): LoanDeal => dealWith(structure, plan, find);
const payments = (quote: LoanQuote) => quote.schedule.map(({ payment }) => payment);

test("a percent step after an amount is of that amount", () => {
  const steps = [
    { from: 3, amount: 100_000 },
    { from: 5, percent: "10" },
  ];
  const quote = quoteOf(dealWith({}, { payments: 8, steps }));
  expect(payments(quote).slice(2, 7)).toEqual([100_000, 100_000, 110_000, 110_000, 110_000]);
});

test.each([
  ["77 of two decimals", 77, "0.77"],
  ["100 of two decimals", 100, "0.77"],
  ["40 of eight decimals", 40, "1.23456789"],
  ["100 of less each time", 100, "-1.5"],
])("percent steps, %s, without interest share the loan by their weights", (_, count, percent) => {
  // Payment k is 1 + percent / 100 times the one before; their sum of whole cents is the loan's, but for the last.
  const steps = Array.from({ length: count }, (_, k) => ({ from: k + 2, percent }));
  const quote = quoteOf(dealWith({ price: 10_000_000 }, { yearlyRate: "0", payments: count + 1, steps }));
  const ratio = 1 + Number(percent) / 100;
  const first = (10_000_000 * (ratio - 1)) / (ratio ** (count + 1) - 1);
  expect(quote.payment).toBe(Math.round(first));
  expect(quote.totalOfPayments).toBe(quote.loanAmount);
});

describe("a balloon is agreed, and no floor under every row", () => {
  test("what is owed may go below it and grow to it", () => {
    const datedPayments = [
      { date: date("2027-02-01"), amount: null },
      { date: date("2027-12-01"), amount: 0 },
    ];
    const listed = {
      yearlyRate: "12",
      payments: null,
      signed: SIGNED,
      balloon: { amount: 100_000 },
      datedPayments,
    };
    const quote = quoteOf(dealWith({}, listed));
    // 10,000.00 × (1 + 0.12 × 31 ÷ 365) − 1,000.00 ÷ (1 + 0.12 × 303 ÷ 365)
    expect(quote.payment).toBe(
      Math.round(1_000_000 * (1 + (0.12 * 31) / 365) - 100_000 / (1 + (0.12 * 303) / 365)),
    );
    expect(payments(quote)).toEqual([919_251, 0, 100_000]);
  });

  test("one cent of extra lowers it by a cent a payment, whatever rounding leaves", () => {
    const plan = { yearlyRate: "12", payments: 6, rounding: "down" as const, roundingStep: 10_000 };
    const without = quoteOf(dealWith({}, { ...plan, balloon: { amount: 500_000 } }));
    const quote = quoteOf(
      dealWith({}, { ...plan, balloon: { amount: 500_000 }, extra: { each: { amount: 1 } } }),
    );
    expect(quote.finalPayment).toBe(without.finalPayment + 1);
    expect(quote.balloon).toBe(499_994);
  });
});

describe("extras around the end", () => {
  const plan = (extra: NonNullable<LoanPlan["extra"]>) =>
    dealWith({}, { payments: 24, signed: SIGNED, extra });

  test("one after the end is not used, and the note says so", () => {
    const quote = quoteOf(plan({ once: [{ date: date("2029-08-15"), amount: 50_000 }] }));
    expect(quote.note).toBe(
      "The extra of 500.00 on 2029-08-15 comes after the loan has ended, on 2029-01-01, and is not used.",
    );
    expect(quote.totalOfPayments).toBe(quoteOf(plan({})).totalOfPayments);
  });

  test("a yearly one that pays all that is owed ends the loan on its day, interest and all", () => {
    const quote = quoteOf(plan({ yearly: { from: date("2027-08-15"), amount: 900_000 } }));
    const [before, last] = quote.schedule.slice(-2);
    // Fourteen of 31 days of August's interest at 0.5 %.
    const interest = Math.round(((before?.balance ?? 0) * 0.005 * 14) / 31);
    expect(last).toMatchObject({ kind: "extra", date: date("2027-08-15"), interest, balance: 0 });
    expect(quote.finalDate).toBe(date("2027-08-15"));
  });
});

test("interest-only payments follow a deferral, and a skipped last date moves on", () => {
  const shape = { payments: 12, deferred: { payments: 3, interest: "accrues" as const }, interestOnly: 2 };
  const kinds = quoteOf(dealWith({}, shape)).schedule.map(({ kind }) => kind);
  expect(kinds.slice(0, 6)).toEqual([
    "noPayment",
    "noPayment",
    "noPayment",
    "interestOnly",
    "interestOnly",
    "payment",
  ]);
  const moved = quoteOf(dealWith({}, { payments: 8, signed: date("2027-01-05"), skippedMonths: [8, 9] }));
  expect(moved.finalDate).toBe(date("2027-10-05"));
  expect(moved.note).toContain(
    "The last payment, on 2027-09-05, falls in a skipped month; it is made on 2027-10-05.",
  );
  // Seven payments after 1 to 7 and 9 months.
  const worth = [1, 2, 3, 4, 5, 6, 9].reduce((sum, month) => sum + 1.005 ** -month, 0);
  expect(moved.payment).toBe(Math.round(1_000_000 / worth));
});

test("the amount financed is net of a charge at signing, and with the finance charge the total of payments", () => {
  const quote = quoteOf(dealWith({}, { prepaidCharge: 20_000 }));
  expect([quote.loanAmount, quote.amountFinanced]).toEqual([1_000_000, 980_000]);
  expect(quote.amountFinanced + quote.financeCharge).toBe(quote.totalOfPayments);
  for (const [figure, value] of [
    ["loanAmount", 1_000_000],
    ["amountFinanced", 980_000],
  ] as const) {
    const found = quoteOf({
      ...open("price", { price: null }, { prepaidCharge: 20_000 }),
      from: { figure, value },
    });
    expect(found.price).toBe(1_000_000);
  }
});

test("a flat rate's payments rounded up never take what is owed below zero", () => {
  for (const [price, yearlyRate, count, frequency, roundingStep] of [
    [1_000_000, "15", 60, "monthly", 1000],
    [104_600, "26.625", 397, "halfYearly", 1],
  ] as const) {
    const plan = {
      kind: "flatRate" as const,
      yearlyRate,
      payments: count,
      frequency,
      rounding: "up" as const,
      roundingStep,
    };
    const { schedule } = quoteOf(dealWith({ price }, plan));
    expect(schedule.every(({ balance, interest }) => balance >= 0 && interest >= 0)).toBe(true);
    expect(schedule.at(-1)?.balance).toBe(0);
  }
});
