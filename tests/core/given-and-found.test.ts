// What is given stays, and what is found is found at the edges too: numbers worked out apart from the core.
import { evaluate, type LoanDeal, type LoanPlan, type LoanQuote } from "@/core";
import { priceFile } from "@/exchange/answers/price-file";
import { quoteJson } from "@/exchange/kinds/loan/quote-json";
import { date, dealWith, quoteOf, sentenceOf } from "./deals";

const SIGNED = date("2027-01-01");
const payments = (quote: LoanQuote) => quote.schedule.map(({ payment }) => payment);
const open = (
  find: LoanDeal["find"],
  structure: Partial<LoanDeal["structure"]>,
  plan: Partial<LoanPlan>,
): LoanDeal => dealWith(structure, plan, find);

describe("a cost and a balloon, and money being found", () => {
  const plan = { payments: 24, balloon: { amount: 800_000 } };
  const from = { figure: "financeCharge" as const, value: 150_000 };

  test("the price, and the cash down that is the same loan", () => {
    const { loanAmount, financeCharge } = quoteOf({ ...open("price", { price: null }, plan), from });
    expect(financeCharge).toBe(150_000);
    const down = quoteOf({ ...open("down", { price: 2_000_000, down: null }, plan), from });
    expect(down.down).toBe(2_000_000 - loanAmount);
    expect(quoteOf(dealWith({ price: 2_000_000, down: { amount: 370_000 } }, plan)).financeCharge).toBe(
      148_867,
    );
  });

  test("a charge below that of the balloon alone is refused with the smallest that works", () => {
    const sentence = sentenceOf({
      ...open("price", { price: null }, plan),
      from: { ...from, value: 10_000 },
    });
    expect(sentence).toContain("No price gives a finance charge of 100.00");
    // 8,000.00 less what grows to it in 24 months at 0.5 %: 7,097.49.
    expect(sentence).toMatch(/even price 7,097\.\d\d takes 902\.\d\d/);
  });

  test("an extra with each payment", () => {
    const each = open("price", { price: null }, { payments: 24, extra: { each: { amount: 5000 } } });
    const quote = quoteOf({ ...each, from: { ...from, value: 4000 } });
    expect(quote.price).toBeGreaterThan(120_000);
    expect(quote.financeCharge).toBe(4000);
  });
});

describe("a given payment stays", () => {
  test("the last one is smaller where it does not divide the loan evenly", () => {
    const quote = quoteOf(open("payments", {}, { payments: null, payment: 45_000 }));
    expect([quote.payment, quote.payments, quote.finalPayment]).toEqual([45_000, 24, 27_723]);
    expect(
      payments(quote)
        .slice(0, -1)
        .every(payment => payment === 45_000),
    ).toBe(true);
  });

  test.each<[string, LoanDeal]>([
    ["The number of payments is given, 12, and so is the finance charge, 500.00", dealWith({})],
    ["The number of payments is given, 12, and so is the total cost, 500.00", dealWith({})],
    [
      "The payment is given, 450.00, and so is the finance charge, 500.00",
      open("price", { price: null }, { payment: 45_000 }),
    ],
  ])("%s: refused", (sentence, deal) => {
    const figure = sentence.includes("total cost") ? ("totalCost" as const) : ("financeCharge" as const);
    expect(sentenceOf({ ...deal, from: { figure, value: 50_000 } })).toContain(sentence);
  });

  test("a number of payments and an end date are too many", () => {
    const deal = {
      ...dealWith({}, { signed: SIGNED }),
      from: { figure: "endDate" as const, value: date("2029-01-01") },
    };
    expect(sentenceOf(deal)).toContain("leave out the number of payments");
  });
});

describe("what is found is in the answer under its own name", () => {
  const extra = { payments: 24, signed: SIGNED };

  test.each<[string, LoanDeal, object]>([
    [
      "extra",
      {
        ...open("extra", {}, { ...extra, extra: { each: { amount: null } } }),
        from: { figure: "payments", value: 12 },
      },
      { extra: expect.any(String) },
    ],
    [
      "lump",
      {
        ...open("lump", {}, { ...extra, extra: { once: [{ date: date("2027-08-15"), amount: null }] } }),
        from: { figure: "endDate", value: date("2028-03-01") },
      },
      { lump: expect.any(String) },
    ],
    ["percent down", open("downPercent", { down: null }, { payment: 80_000 }), { downPercent: "7.05" }],
    [
      "a balloon that extras take from",
      open(
        "balloon",
        {},
        { payments: 24, payment: 20_000, balloon: null, extra: { each: { amount: 5000 } } },
      ),
      { balloon: expect.any(String), balloonPaid: expect.any(String) },
    ],
    [
      "a number of payments that extras make smaller",
      { ...open("payments", {}, { payments: null, payment: 45_000, extra: { each: { amount: 10_000 } } }) },
      { payments: 24, paymentsMade: 20 },
    ],
  ])("%s", (_, deal, expected) => {
    const quote = quoteOf(deal);
    expect(quoteJson(quote)).toMatchObject(expected);
  });
});

test("a lump that cannot end the loan in time is told the earliest end", () => {
  const deal: LoanDeal = {
    ...open(
      "lump",
      {},
      { payments: 24, signed: SIGNED, extra: { once: [{ date: date("2027-08-15"), amount: null }] } },
    ),
    from: { figure: "endDate", value: date("2027-06-01") },
  };
  expect(sentenceOf(deal)).toContain("The earliest end date that works is 2027-08-15.");
});

test("a question about 1,000 of a loan with a balloon shares it out", () => {
  const ask = [{ ask: "perThousand", rates: ["6"], terms: ["24", 60] }];
  const file = {
    format: "kellux-deal",
    version: 1,
    currency: "USD",
    structure: { price: "20000" },
    plan: { kind: "loan", yearlyRate: "6", payments: 24, frequency: "monthly", balloon: { amount: "8000" } },
    find: "payment",
    ask,
  };
  const priced = priceFile(JSON.stringify(file), false);
  // (20,000 − 8,000 × 1.005^−24) × 0.005 ÷ (1 − 1.005^−24) ÷ 20
  const exact = ((20_000 - 8000 * 1.005 ** -24) * 0.005) / (1 - 1.005 ** -24) / 20;
  expect(priced).toMatchObject({
    answer: {
      answers: [
        {
          rows: [{ payments: 24, payment: exact.toFixed(2), unrounded: exact.toFixed(6) }, { payments: 60 }],
        },
      ],
    },
  });
});

test("every answer that finds nothing to finance says what was typed", () => {
  const answer = evaluate(
    open("price", { price: null }, { payment: 500, rounding: "up", roundingStep: 1000 }),
  );
  expect(answer.ok ? "" : answer.failure.sentence).toBe(
    "No price gives a payment of 5.00: even price 0.01 takes 10.00. The smallest payment that works is 10.00.",
  );
});
