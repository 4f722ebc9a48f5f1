// Rates and times at the edges, with numbers worked out apart from the core.
import { costOfCredit, solveTimeValue } from "@/core";
import { priceFile } from "@/exchange/answers/price-file";
import { date, dealWith, quoteOf } from "./deals";

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
