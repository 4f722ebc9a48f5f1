import {
  costOfCredit,
  evaluate,
  type LoanDeal,
  type LoanQuote,
  payoffOn,
  WORKED_FIGURES,
  working,
} from "@/core";
import { date, dealWith, PLAIN, quoteOf, sentenceOf } from "./deals";

const EXAMPLE: LoanDeal = {
  currency: "USD",
  structure: {
    price: 4_185_000,
    tradeIns: [{ allowance: 920_000, owed: 1_105_000 }],
    down: { amount: 300_000 },
  },
  plan: { ...PLAIN.plan, yearlyRate: "6.49", payments: 72, signed: date("2026-11-24") },
  find: "payment",
};

test("a deal worked by hand: underwater trade-in, 72 payments at 6.49 %", () => {
  const quote = quoteOf(EXAMPLE);
  // 41,850 − 9,200 + 11,050 − 3,000
  expect(quote.amountFinanced).toBe(4_070_000);
  expect(quote.lines.map(line => line.running)).toEqual([4_185_000, 3_265_000, 4_370_000, 4_070_000]);
  expect(quote.payment).toBe(68_397);
  // First interest: 40,700 × 6.49 % ÷ 12 = 220.119…
  expect(quote.schedule[0]).toMatchObject({ interest: 22_012, principal: 46_385, balance: 4_023_615 });
  expect(quote.totalOfPayments).toBe(71 * 68_397 + quote.finalPayment);
  expect(quote.financeCharge).toBe(quote.totalOfPayments - 4_070_000);
  // Total cost is the price and the finance charge.
  expect(quote.totalCost).toBe(4_185_000 + quote.financeCharge);
});

test("evaluating changes nothing in the deal it was given", () => {
  const before = structuredClone(EXAMPLE);
  evaluate(EXAMPLE);
  expect(EXAMPLE).toEqual(before);
});

test("a zero rate divides the amount; rounding up ends the loan early where it clears it", () => {
  const zero = quoteOf(dealWith({ price: 100 }, { yearlyRate: "0", payments: 3 }));
  expect(zero.schedule.map(row => row.payment)).toEqual([33, 33, 34]);
  expect(zero.financeCharge).toBe(0);

  // 0.10 over 60 payments, rounded up to 0.01 each, is paid after 10.
  const early = quoteOf(dealWith({ price: 10 }, { yearlyRate: "0", payments: 60, rounding: "up" }));
  expect(early.payments).toBe(10);
  expect(early.schedule.at(-1)?.balance).toBe(0);
});

test("one payment repays the loan with one month's interest", () => {
  const quote = quoteOf(dealWith({ price: 1_000_000 }, { yearlyRate: "6", payments: 1 }));
  expect(quote.schedule).toHaveLength(1);
  expect(quote.finalPayment).toBe(1_005_000);
});

test("interest of exactly half a cent goes up", () => {
  // 1.00 at 6 % for a month is 0.005.
  expect(quoteOf(dealWith({ price: 100 }, { yearlyRate: "6", payments: 2 })).schedule[0]?.interest).toBe(1);
});

test("600 payments of ten million are exact and close", () => {
  const quote = quoteOf(dealWith({ price: 1_000_000_000 }, { yearlyRate: "7.125", payments: 600 }));
  expect(quote.schedule).toHaveLength(600);
  expect(quote.schedule.at(-1)?.balance).toBe(0);
});

test("payment dates keep the day they started from, over short months", () => {
  const quote = quoteOf(dealWith({}, { payments: 3, signed: date("2027-01-31") }));
  expect(quote.schedule.map(row => row.date)).toEqual(["2027-02-28", "2027-03-31", "2027-04-30"].map(date));
});

test("an odd first period is charged simple interest by thirtieths of a month", () => {
  // 24 November to 8 January is one month and fourteen days: 10,000 × 0.5 % × 44/30 = 73.333…
  const quote = quoteOf(dealWith({}, { signed: date("2026-11-24"), firstPayment: date("2027-01-08") }));
  expect(quote.schedule[0]?.interest).toBe(7333);
  expect(quote.schedule.at(-1)?.balance).toBe(0);
  // The level payment spreads the odd days: the last one differs by cents only.
  expect(Math.abs(quote.finalPayment - quote.payment)).toBeLessThan(12);
});

test("an answer is plain data: copied or written as JSON it is whole, and answers what is asked about it", () => {
  const signed = date("2026-11-24");
  const shapes: Partial<LoanDeal["plan"]>[] = [
    {},
    { kind: "flatRate" },
    { kind: "equalPrincipal" },
    { firstPayment: date("2027-01-08"), extra: { each: { amount: 5000 } }, balloon: { amount: 100_000 } },
    { timing: "advance", steps: [{ from: 4, percent: "5" }] },
  ];
  for (const shape of shapes) {
    const quote = quoteOf(dealWith({ down: { percent: "10" } }, { signed, ...shape }));
    for (const copy of [structuredClone(quote), JSON.parse(JSON.stringify(quote)) as LoanQuote]) {
      expect(copy).toEqual(quote);
      expect(costOfCredit(copy)).toEqual(costOfCredit(quote));
      expect(payoffOn(copy, date("2027-03-10"))).toEqual(payoffOn(quote, date("2027-03-10")));
      for (const figure of WORKED_FIGURES) expect(working(copy, figure)).toEqual(working(quote, figure));
    }
  }
});

test("percent down is of the price, rounded half up", () => {
  const quote = quoteOf(dealWith({ price: 333, down: { percent: "50" } }));
  expect(quote.down).toBe(167);
});

test("an answer gives the deal back with the figure filled in, the rest untouched", () => {
  const found = evaluate(dealWith({ price: null }, { payment: 86_066 }, "price"));
  expect(found.ok && found.value.filled.structure.price).toBe(1_000_000);
  expect(found.ok && found.value.filled.plan.payments).toBe(12);
});

describe("no answer", () => {
  test("an owed trade-in that no price can carry says so and offers the smallest payment that works", () => {
    const deal = dealWith(
      { price: null, tradeIns: [{ allowance: 650_000, owed: 1_400_000 }] },
      { yearlyRate: "7.9", payments: 60, payment: 8500 },
      "price",
    );
    const quote = evaluate(deal);
    if (quote.ok || !quote.failure.nearest) throw new Error("There must be a nearest figure.");
    expect(quote.failure.sentence).toContain("No price gives a payment of 85.00");
    // The payment offered is the one of the 7,500.00 that is owed beyond the allowance, and it works.
    const needed = quoteOf(dealWith({ price: 750_000 }, { yearlyRate: "7.9", payments: 60 })).payment;
    expect(quote.failure.nearest).toEqual({ figure: "payment", minor: needed });
    const again = evaluate({ ...deal, plan: { ...deal.plan, payment: needed } });
    expect(again.ok).toBe(true);
  });

  test("nothing left to finance says what covers the price, and which cash down leaves something", () => {
    const covered = evaluate(dealWith({ price: 500_000, down: { amount: 600_000 } }));
    expect(covered).toEqual({
      ok: false,
      failure: {
        figure: "amountFinanced",
        sentence: "Nothing is left to finance. The cash down covers the price with 1,000.00 over.",
        nearest: { figure: "down", minor: 499_999 },
      },
    });
    const tradeIns = [{ allowance: 400_000, owed: 0 }];
    expect(sentenceOf(dealWith({ price: 500_000, tradeIns, down: { amount: 100_000 } }))).toBe(
      "Nothing is left to finance. The cash down and the trade-in cover the price.",
    );
    expect(sentenceOf(dealWith({ price: 0 }))).toBe("Nothing is left to finance. The price is 0.");
  });

  test("with 100 % down the price moves nothing", () => {
    expect(
      sentenceOf(dealWith({ price: null, down: { percent: "100" } }, { payment: 5000 }, "price")),
    ).toContain("100 % down");
  });

  test("a payment above the one without any cash down needs none, and says so", () => {
    const quote = quoteOf(dealWith({ down: null }, { payment: 90_000 }, "down"));
    expect(quote.down).toBe(0);
    expect(quote.note).toContain("No cash down is needed: without any the payment is 860.66");
  });

  test.each<[string, LoanDeal]>([
    ["XQZ is not a known currency; use a code of ISO 4217 such as USD.", { ...PLAIN, currency: "XQZ" }],
    [
      "The number of payments is 0; it must be a whole number from 1 to 1,200.",
      dealWith({}, { payments: 0 }),
    ],
    ["The yearly rate 1001 % is too high; it can be 0 to 1,000 %.", dealWith({}, { yearlyRate: "1001" })],
    [
      "The yearly rate -3 is not a percent; type one such as 6.49, with no sign.",
      dealWith({}, { yearlyRate: "-3" }),
    ],
    [
      "The first payment, 2026-11-01, must come after the contract date, 2026-11-24.",
      dealWith({}, { signed: date("2026-11-24"), firstPayment: date("2026-11-01") }),
    ],
    [
      "The first payment, 2046-11-01, is over 10 years after the contract date, 2026-11-24.",
      dealWith({}, { signed: date("2026-11-24"), firstPayment: date("2046-11-01") }),
    ],
    [
      "Cash down of 120 % is not possible; it can be 0 to 100 % of the price.",
      dealWith({ down: { percent: "120" } }),
    ],
    [
      "A payment of 0.00 repays nothing; type one above zero.",
      dealWith({ price: null }, { payment: 0 }, "price"),
    ],
    [
      "The price, the yearly rate and the number of payments are missing.",
      dealWith({ price: null }, { yearlyRate: null, payments: null }),
    ],
    ["The payment is missing.", dealWith({ price: null }, {}, "price")],
  ])("%s", (sentence, deal) => {
    expect(sentenceOf(deal)).toBe(sentence);
  });

  test("a loan that rounding never repays is refused, not computed into nonsense", () => {
    expect(
      sentenceOf(dealWith({ price: 5 }, { yearlyRate: "400", payments: 600, rounding: "down" })),
    ).toContain("does not cover the interest");
  });
});
