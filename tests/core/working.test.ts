import { WORKED_FIGURES, type WorkingStep, working } from "@/core";
import { compute } from "./compute-filled";
import { date, dealWith, quoteOf } from "./deals";

const quote = quoteOf(
  dealWith(
    { price: 4_185_000, tradeIns: [{ allowance: 920_000, owed: 1_105_000 }], down: { percent: "10" } },
    { yearlyRate: "6.49", payments: 72 },
  ),
);

test.each(["amountFinanced", "totalOfPayments", "financeCharge", "totalCost"] as const)(
  "the numbers filled in for %s come to its result",
  figure => {
    const step = working(quote, figure);
    expect(compute(step.filled)).toBe(Number(step.result.replaceAll(",", "")));
  },
);

test("the payment's working shows the month's rate, the unrounded payment and the rule", () => {
  const step = working(quote, "payment");
  expect(step.rounding).toMatch(/^664\.056246… rounded to the nearest 0\.01, halves up$/);
  const names = (each: WorkingStep): string[] => [each.name, ...each.parts.flatMap(names)];
  expect(names(step)).toEqual(["Payment", "Rate of one month", "Amount financed", "Cash down"]);
  expect(step.parts[0]?.result).toBe("0.54083333… %");
});

test("an odd first period and a found figure are explained", () => {
  const odd = quoteOf(dealWith({}, { signed: date("2026-11-24"), firstPayment: date("2027-01-08") }));
  expect(working(odd, "payment").filled).toContain("44/30");
  expect(working(odd, "payment").remark).toContain("1 month and 14 days");

  const price = quoteOf(dealWith({ price: null }, { payment: 50_000 }, "price"));
  expect(working(price, "price").filled).toBe("payment 500.00 is at most 500.00");
  const down = quoteOf(dealWith({ down: null }, { payment: 50_000 }, "down"));
  expect(working(down, "down").formula).toContain("smallest cash down");
  expect(working(dealQuoteWithoutInterest(), "payment").filled).toBe("10,000.00 ÷ 12");
});

function dealQuoteWithoutInterest() {
  return quoteOf(dealWith({}, { yearlyRate: "0" }));
}

describe("every figure of every shape of loan", () => {
  const signed = date("2026-11-24");
  const shapes = {
    level: dealWith({}, { signed }),
    weeklyCompoundedYearly: dealWith({}, { signed, frequency: "weekly", compounding: "yearly" }),
    continuousInAdvance: dealWith({}, { signed, compounding: "continuous", timing: "advance" }),
    byDays: dealWith({}, { signed, dayCount: "30/360" }),
    balloon: dealWith({}, { signed, balloon: { percent: "30" } }),
    flat: dealWith({}, { signed, kind: "flatRate" }),
    interestOnly: dealWith({}, { signed, interestOnly: 3 }),
    stepped: dealWith({}, { signed, steps: [{ from: 6, percent: "5" }] }),
    listed: dealWith(
      {},
      { signed, payments: null, datedPayments: [{ date: date("2027-03-01"), amount: null }] },
    ),
    extra: dealWith({}, { signed, extra: { each: { amount: 5000 } }, prepaidCharge: 10_000 }),
  };

  test.each(Object.entries(shapes))("%s", (_, deal) => {
    const answered = quoteOf(deal);
    for (const figure of WORKED_FIGURES) {
      const check = (step: WorkingStep) => {
        for (const text of [step.name, step.formula, step.filled, step.result]) {
          expect(text).not.toMatch(/undefined|NaN|Infinity|null/);
          expect(text).not.toBe("");
        }
        step.parts.forEach(check);
      };
      check(working(answered, figure));
    }
  });

  test("rates of credit say where they come from, and the last payment shows its numbers", () => {
    const withCharge = quoteOf(shapes.extra);
    const apr = working(withCharge, "apr");
    expect(apr.source).toContain("Appendix J");
    expect(apr.parts[0]).toMatchObject({
      name: "Amount financed",
      filled: "10,000.00 − 100.00",
      result: "9,900.00",
    });
    expect(apr.remark).toContain("The unit period is 1 month, 12 to a year.");
    expect(working(withCharge, "effectiveRate").source).toContain("2008/48/EC");
    const last = working(quote, "finalPayment");
    expect(compute(last.filled)).toBe(Number(last.result.replaceAll(",", "")));
    expect(working(quoteOf(shapes.flat), "trueYearlyRate").result).toMatch(/^10\.\d+ %$/);
    const saved = working(withCharge, "savedInterest");
    expect(compute(saved.filled)).toBe(Number(saved.result));
  });

  test("a number of payments is as given, or says what it was found from", () => {
    expect(working(quoteOf(shapes.listed), "payments").formula).toBe("as given");
    const byDate = { figure: "endDate" as const, value: date("2027-08-31") };
    const dated = quoteOf({ ...dealWith({}, { signed, payments: null }), from: byDate });
    expect(working(dated, "payments")).toMatchObject({
      result: "9",
      filled: "end date 2027-08-24 is at most 2027-08-31",
    });
    const amount = { figure: "amountFinanced" as const, value: 500_000 };
    const open = dealWith({ price: null }, { payments: null, payment: 50_000 }, "payments");
    expect(working(quoteOf({ ...open, from: amount }), "payments")).toMatchObject({
      result: "11",
      filled: "10 × 500.00 + 142.40",
      parts: [{ formula: "as given", filled: "500.00" }],
    });
  });
});
