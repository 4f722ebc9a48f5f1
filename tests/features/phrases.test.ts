import { evaluate } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import type { LoanFile } from "@/exchange/kinds/loan";
import { readLoan } from "@/exchange/kinds/loan/read";
import type { OptionState } from "@/features/deal/option";
import { phraseOf } from "@/features/deal/palette/phrases";
import { openOption } from "./load-desk";

const VAN: LoanFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "30000.00", tradeIn: { allowance: "5000.00", owed: "0.00" } },
  plan: { kind: "loan", yearlyRate: "6", payments: 60, frequency: "monthly", signed: "2026-11-24" },
  find: "payment",
};

const inputsAfter = (text: string, option: OptionState = openOption(VAN)): DealFile | undefined =>
  phraseOf(text, option)?.after.inputs;

test.each([
  ["72 payments at 5.9", { payments: 72, yearlyRate: "5.9" }, {}],
  ["72 months, rate 5.9 %", { payments: 72, yearlyRate: "5.9" }, {}],
  ["6 years", { payments: 72 }, {}],
  ["5.9 %", { yearlyRate: "5.9" }, {}],
  ["rate +0.5", { yearlyRate: "6.5" }, {}],
  ["make the term 5y", { payments: 60 }, {}],
  ["balloon 5k", { balloon: { amount: "5000.00" } }, {}],
  ["down 15 %", {}, { down: { percent: "15" } }],
  ["15 % down", {}, { down: { percent: "15" } }],
  ["6,000 down and 48 payments", { payments: 48 }, { down: { amount: "6000.00" } }],
  ["price -2%", {}, { price: "29400.00" }],
  ["price to 28k", {}, { price: "28000.00" }],
  ["trade-in 3,000 and owed 1,000", {}, { tradeIn: { allowance: "3000.00", owed: "1000.00" } }],
])("“%s” sets what it names", (text, plan, structure) => {
  expect(inputsAfter(text)).toMatchObject({ plan, structure });
});

test.each([
  "",
  "hello",
  "72",
  "payments",
  "rate six",
  "price 1.2.3",
  "find",
  "find nothing",
  "down 200 %",
  "find price for love",
])("“%s” is no phrase", text => {
  expect(phraseOf(text, openOption(VAN))).toBeUndefined();
});

test("what is found, from what, and what becomes of it is said before it is done", () => {
  const phrase = phraseOf("find price for payment 450", openOption(VAN));
  expect(phrase?.after.inputs).toMatchObject({ find: "price", plan: { payment: "450.00" } });
  // Up to 450.005 rounds to 450.00, which repays 23,276.76 by the annuity of 51.725561, beside the trade-in of 5,000.00.
  expect(phrase?.says).toBe("Finds the price for payment 450; price 30,000.00 → 28,276.76.");
  expect(inputsAfter("find rate for total cost 33,000")).toMatchObject({
    find: "yearlyRate",
    from: { totalCost: "33000.00" },
  });
  expect(inputsAfter("find payments that ends by June 2030")).toMatchObject({
    find: "payments",
    from: { endDate: "2030-06-30" },
  });
});

test("what a phrase says of the answer is what the deal then has", () => {
  for (const text of ["48 payments", "rate 9.9", "down 3,500 and 36 payments", "price 25,000"]) {
    const phrase = phraseOf(text, openOption(VAN));
    const deal = readLoan(phrase?.after.inputs as LoanFile);
    const quote = deal.ok ? evaluate(deal.value) : deal;
    if (!quote.ok) throw new Error(quote.failure.sentence);
    expect(phrase?.says).toContain(`→ ${(quote.value.payment / 100).toFixed(2)}`);
  }
});

test("a lease has its own figures", () => {
  const lease = openOption({
    ...VAN,
    plan: {
      kind: "lease",
      reckoning: "moneyFactor",
      moneyFactor: "0.00225",
      payments: 36,
      frequency: "monthly",
      residual: { percent: "50" },
    },
  } as unknown as DealFile);
  expect(inputsAfter("factor 200", lease)).toMatchObject({ plan: { moneyFactor: "0.002" } });
  // A yearly rate of 6 % is 6 ÷ 2,400 as a factor.
  for (const text of ["36 months at 6", "rate 6 %"])
    expect(inputsAfter(text, lease)).toMatchObject({ plan: { payments: 36, moneyFactor: "0.0025" } });
  expect(inputsAfter("residual 45 %", lease)).toMatchObject({ plan: { residual: { percent: "45" } } });
  expect(inputsAfter("find residual for payment 600", lease)).toMatchObject({ find: "residualPercent" });
  expect(phraseOf("balloon 5,000", lease)).toBeUndefined();
});
