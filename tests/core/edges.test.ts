// Figures at the edges, each with numbers worked out apart from the core.
import { costOfCredit, type Deal, evaluate, type LoanPlan, type Quote, solveTimeValue } from "@/core";
import { priceFile } from "@/exchange/answers/price-file";
import { quoteJson } from "@/exchange/answers/quote-json";
import { date, dealWith, quoteOf, sentenceOf } from "./deals";

const SIGNED = date("2027-01-01");
const payments = (quote: Quote) => quote.schedule.map(({ payment }) => payment);
const open = (find: Deal["find"], structure: Partial<Deal["structure"]>, plan: Partial<LoanPlan>): Deal =>
  dealWith(structure, plan, find);

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
    const each = open("price", { price: null }, { payments: 24, extra: { each: 5000 } });
    const quote = quoteOf({ ...each, from: { ...from, value: 4000 } });
    expect(quote.price).toBeGreaterThan(120_000);
    expect(quote.financeCharge).toBe(4000);
  });
});

test("a percent step after an amount is of that amount", () => {
  const steps = [
    { from: 3, amount: 100_000 },
    { from: 5, percent: "10" },
  ];
  const quote = quoteOf(dealWith({}, { payments: 8, steps }));
  expect(payments(quote).slice(2, 7)).toEqual([100_000, 100_000, 110_000, 110_000, 110_000]);
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
    const quote = quoteOf(dealWith({}, { ...plan, balloon: { amount: 500_000 }, extra: { each: 1 } }));
    expect(quote.finalPayment).toBe(without.finalPayment + 1);
    expect(quote.balloon).toBe(499_994);
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

  test.each<[string, Deal]>([
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

  test.each<[string, Deal, object]>([
    [
      "extra",
      { ...open("extra", {}, { ...extra, extra: { each: null } }), from: { figure: "payments", value: 12 } },
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
      open("balloon", {}, { payments: 24, payment: 20_000, balloon: null, extra: { each: 5000 } }),
      { balloon: expect.any(String), balloonPaid: expect.any(String) },
    ],
    [
      "a number of payments that extras make smaller",
      { ...open("payments", {}, { payments: null, payment: 45_000, extra: { each: 10_000 } }) },
      { payments: 24, paymentsMade: 20 },
    ],
  ])("%s", (_, deal, expected) => {
    const quote = quoteOf(deal);
    expect(quoteJson(quote)).toMatchObject(expected);
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

describe("time value", () => {
  const solve = (plan: Partial<Parameters<typeof solveTimeValue>[0]>) =>
    solveTimeValue({
      find: "yearlyRate",
      currency: "USD",
      presentValue: { amount: 0, direction: "received" },
      payment: { amount: 0, direction: "paid" },
      futureValue: { amount: 0, direction: "paid" },
      payments: null,
      yearlyRate: null,
      frequency: "monthly",
      ...plan,
    });

  test("saving that comes to little has a rate far below zero", () => {
    const saved = solve({
      payment: { amount: 11_194, direction: "paid" },
      futureValue: { amount: 13_607, direction: "received" },
      payments: 360,
      frequency: "quarterly",
    });
    // With i below zero, 1 ÷ −i payments of 111.94 come to 136.07 in the long run.
    expect(saved.ok && saved.value.yearlyRate).toBeCloseTo((-400 * 11_194) / 13_607, 3);
  });

  test("none where more comes in at every rate, and the sentence says so", () => {
    const none = solve({
      presentValue: { amount: 2_063_718, direction: "received" },
      payment: { amount: 481_770, direction: "received" },
      futureValue: { amount: 74_491, direction: "paid" },
      payments: 1200,
      frequency: "yearly",
    });
    expect(none.ok ? "" : none.failure.sentence).toContain("at every rate more is received");
  });

  test("a last payment in advance leaves what grows to the money at the end", () => {
    const found = solve({
      find: "payments",
      presentValue: { amount: 1_000_000, direction: "received" },
      payment: { amount: 50_000, direction: "paid" },
      futureValue: { amount: 300_000, direction: "paid" },
      yearlyRate: "12",
      timing: "advance",
    });
    let owed = 10_000;
    for (let k = 0; k < 16; k++) owed = (owed - 500) * 1.01;
    expect(found.ok && found.value.last?.amount).toBe(Math.round(100 * (owed - 3000 / 1.01)));
    expect(found.ok && found.value.last?.amount).toBe(4027);
  });
});

test("100 back as 150 after three days has its rates", () => {
  const transaction = {
    ask: "apr",
    advances: [{ date: "2027-01-01", amount: "100" }],
    payments: [{ date: "2027-01-04", amount: "150" }],
  };
  const priced = priceFile(
    JSON.stringify({ format: "kellux-questions", version: 1, currency: "USD", ask: [transaction] }),
    false,
  );
  const [answer] = (priced.ok && "answers" in priced.answer ? priced.answer.answers : []) as [
    Record<string, string>,
  ];
  // Half in three days, simple over a year; and compounded over 365 days.
  expect(Number(answer?.apr)).toBeCloseTo((50 * 365) / 3, 8);
  expect(Number(answer?.effectiveRate) / (100 * 1.5 ** (365 / 3))).toBeCloseTo(1, 9);
});

describe("the unit period of two payments", () => {
  test("five months to each is five months", () => {
    const ask = {
      ask: "apr",
      advances: [{ date: "2023-03-04", amount: "1000" }],
      payments: [
        { date: "2023-08-04", amount: "600" },
        { date: "2024-01-04", amount: "700" },
      ],
    };
    const priced = priceFile(
      JSON.stringify({ format: "kellux-questions", version: 1, currency: "USD", ask: [ask] }),
      false,
    );
    expect(priced).toMatchObject({ answer: { answers: [{ unitPeriod: { unit: "months", months: 5 } }] } });
  });

  test("28 February is the 30th of payments twice a month from the 15th", () => {
    const plan = { frequency: "twiceAMonth" as const, payments: 6, yearlyRate: "12" };
    const dated = costOfCredit(quoteOf(dealWith({}, { ...plan, signed: date("2027-01-15") })));
    const undated = costOfCredit(quoteOf(dealWith({}, plan)));
    expect(dated.ok && undated.ok && dated.value.apr - undated.value.apr).toBeCloseTo(0, 9);
  });
});

test("a lump that cannot end the loan in time is told the earliest end", () => {
  const deal: Deal = {
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
