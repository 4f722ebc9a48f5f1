// The answers in words, as an officer reads them aloud. Without interest each figure can be seen in one's head.
import { type CostOfCredit, evaluate, evaluateLease, type LeaseQuote, type LoanQuote, success } from "@/core";
import { LEASE_COSTS } from "@/core/kinds/lease/costs";
import { LOAN_COSTS } from "@/core/kinds/loan/figures";
import { plainSentence, type SentenceWriter } from "@/exchange/kinds/kind/segment";
import { shownCosts } from "@/exchange/kinds/kind/shown-cost";
import { type LeaseFile, readLease } from "@/exchange/kinds/lease";
import { effectiveRateIfBought } from "@/exchange/kinds/lease/words/effective-rate";
import { leaseLine } from "@/exchange/kinds/lease/words/line";
import { leaseSentence } from "@/exchange/kinds/lease/words/sentence";
import { type LoanFile, readLoan } from "@/exchange/kinds/loan";
import { loanEnding } from "@/exchange/kinds/loan/words/ending";
import { loanSentence } from "@/exchange/kinds/loan/words/sentence";
import { longDateIn, notationOf } from "@/exchange/notation";
import { amountText } from "@/exchange/text";

const write: SentenceWriter = {
  money: minor => amountText(minor, "USD"),
  date: day => longDateIn(day, notationOf("en-US")),
  say: text => text,
};

function loan(structure: LoanFile["structure"], plan: Partial<LoanFile["plan"]> = {}): LoanQuote {
  const deal = readLoan({
    format: "kellux-deal",
    version: 1,
    currency: "USD",
    structure,
    plan: { kind: "loan", frequency: "monthly", yearlyRate: "0", payments: 12, ...plan },
    find: "payment",
  });
  const quote = deal.ok ? evaluate(deal.value) : deal;
  if (!quote.ok) throw new Error(quote.failure.sentence);
  return quote.value;
}

function said(quote: LoanQuote): string {
  const ending = loanEnding(quote, write);
  return plainSentence(loanSentence(quote, write)) + (ending && ` ${ending}`);
}

const VAN = { price: "12000.00" };

test.each<[string, LoanQuote, string]>([
  [
    "without more",
    loan({ ...VAN, down: { amount: "2400.00" } }),
    "At a price of 12,000.00 with 2,400.00 cash down, finance 9,600.00 over 12 monthly payments of 800.00, at 0 %. It costs 0.00 to finance; the last payment is 800.00.",
  ],
  [
    "with a date",
    loan(VAN, { signed: "2026-11-24", firstPayment: "2026-12-24" }),
    "At a price of 12,000.00 with 0.00 cash down, finance 12,000.00 over 12 monthly payments of 1,000.00, the first on December 24, 2026, at 0 %. It costs 0.00 to finance; the last payment is 1,000.00.",
  ],
  [
    "in one payment",
    loan(VAN, { payments: 1, signed: "2026-11-24" }),
    "At a price of 12,000.00 with 0.00 cash down, finance 12,000.00 with one payment of 12,000.00, on December 24, 2026, at 0 %. It costs 0.00 to finance.",
  ],
  [
    "for a purpose, with something down and a debt paid off",
    loan({
      price: "6000.00",
      purpose: "Kitchen refit",
      down: { amount: "1200.00" },
      payoffs: [{ name: "Card", amount: "800.00" }],
    }),
    "Kitchen refit: for 6,000.00 asked for with 1,200.00 down, borrow 4,800.00, of which 4,000.00 is paid out, over 12 monthly payments of 400.00, at 0 %. It costs 0.00 to finance; the last payment is 400.00.",
  ],
  [
    "with a balloon",
    loan(VAN, { balloon: { amount: "2400.00" } }),
    "At a price of 12,000.00 with 0.00 cash down, finance 12,000.00 over 12 monthly payments of 800.00, at 0 %. It costs 0.00 to finance; the last payment is 800.00, and 2,400.00 is left to pay at the end.",
  ],
  [
    // The last payment is all that is left.
    "with a charge and an extra each time, which ends it early",
    loan(
      { ...VAN, fees: [{ name: "Account", amount: "3.00", with: "eachPayment" }] },
      { extra: { each: "500.00" } },
    ),
    "At a price of 12,000.00 with 0.00 cash down, finance 12,000.00 over 8 monthly payments of 1,000.00 with charges of 3.00 and 500.00 extra each time, at 0 %. It costs 0.00 to finance; the last payment is 1,500.00. Extra payments save 0.00 and 4 payments.",
  ],
  [
    "with only interest first",
    loan(VAN, { interestOnly: 2, payments: 14 }),
    "At a price of 12,000.00 with 0.00 cash down, finance 12,000.00 over 14 monthly payments, the first 2 just interest, then 1,000.00, at 0 %. It costs 0.00 to finance; the last payment is 1,000.00. On 2 of the dates nothing is paid.",
  ],
  [
    "with a start put off",
    loan(VAN, { deferred: { payments: 3, interest: "waived" }, payments: 15 }),
    "At a price of 12,000.00 with 0.00 cash down, finance 12,000.00 over 15 monthly payments, none on the first 3 dates, then 1,000.00, at 0 %. It costs 0.00 to finance; the last payment is 1,000.00. On 3 of the dates nothing is paid.",
  ],
  [
    "with steps",
    loan(VAN, { steps: [{ from: 7, amount: "1200.00" }] }),
    "At a price of 12,000.00 with 0.00 cash down, finance 12,000.00 over 12 monthly payments starting at 800.00, at 0 %. It costs 0.00 to finance; the last payment is 1,200.00. The payment changes from payment 7 on.",
  ],
  [
    "with equal parts of the principal",
    loan(VAN, { kind: "equalPrincipal", frequency: "quarterly" }),
    "At a price of 12,000.00 with 0.00 cash down, finance 12,000.00 over 12 quarterly payments falling from 1,000.00, at 0 %. It costs 0.00 to finance; the last payment is 1,000.00.",
  ],
  [
    "at a flat rate: 10 % a year on all of it, for a year",
    loan(VAN, { kind: "flatRate", yearlyRate: "10" }),
    // The true rate of 12 payments of 1,100 for 12,000.
    "At a price of 12,000.00 with 0.00 cash down, finance 12,000.00 over 12 monthly payments of 1,100.00, at 10 % flat, a true yearly rate of 17.97 %. It costs 1,200.00 to finance; the last payment is 1,100.00.",
  ],
])("a loan %s is said in words", (_, quote, sentence) => {
  expect(said(quote)).toBe(sentence);
});

test("the figures of a loan's sentence that can be picked are the ones that stand in it", () => {
  const quote = loan(
    { ...VAN, down: { amount: "600.00" } },
    { balloon: { amount: "600.00" }, signed: "2026-11-24" },
  );
  const figures = loanSentence(quote, write).flatMap(piece =>
    typeof piece === "object" && "figure" in piece ? [[piece.figure, piece.text]] : [],
  );
  expect(figures).toEqual([
    ["price", "12,000.00"],
    ["down", "600.00"],
    ["payments", "12 monthly"],
    ["payment", "900.00"],
    ["firstPayment", "December 24, 2026"],
    ["yearlyRate", "0 %"],
    ["balloon", "600.00"],
  ]);
});

function lease(plan: Partial<LeaseFile["plan"]>, structure: LeaseFile["structure"] = {}): LeaseQuote {
  const read = readLease({
    format: "kellux-deal",
    version: 1,
    currency: "USD",
    structure: { price: "30000.00", ...structure },
    plan: {
      kind: "lease",
      reckoning: "moneyFactor",
      moneyFactor: "0",
      payments: 24,
      frequency: "monthly",
      residual: { amount: "18000.00" },
      ...plan,
    },
    find: "payment",
  });
  const quote = read.ok ? evaluateLease(read.value) : read;
  if (!quote.ok) throw new Error(quote.failure.sentence);
  return quote.value;
}

test.each<[string, LeaseQuote, string]>([
  [
    "paid monthly",
    lease({}),
    "Drive it for 24 months at 500.00 a month, with nothing due at signing. Then hand it back, or buy it for 18,000.00. Using it costs 0.00 in rent and 12,000.00 in lost value.",
  ],
  [
    "with payments in advance, taxed, and fees at its end",
    lease({
      inAdvance: 3,
      dispositionFee: "395.00",
      purchaseFee: "250.00",
      taxes: [{ name: "Tax", rate: "10", on: ["payment", "purchase"] }],
    }),
    // The tax of the purchase is on the residual and its fee.
    "Drive it for 24 months at 550.00 a month, tax included, with 1,650.00 due at signing, the last 2 payments among it. Then hand it back for a fee of 395.00, or buy it for 18,000.00 and a fee of 250.00 and 1,825.00 tax. Using it costs 0.00 in rent and 12,000.00 in lost value.",
  ],
  [
    "paid at once",
    lease({ payments: 4, inAdvance: 4, frequency: "quarterly" }),
    "Drive it for 1 year in 4 quarterly payments for 12,000.00 paid at once at signing. Then hand it back, or buy it for 18,000.00. Using it costs 0.00 in rent and 12,000.00 in lost value.",
  ],
  [
    "that is held to be worth more at its end",
    lease({ residual: { amount: "30600.00" }, moneyFactor: "0.001" }),
    // A month's rent is a thousandth of 60,600.00, and its payment 25.00 less.
    "Drive it for 24 months at 35.60 a month, with nothing due at signing. Then hand it back, or buy it for 30,600.00. Using it costs 1,454.40 in rent; it is held to gain 600.00.",
  ],
])("a lease %s is said in words", (_, quote, sentence) => {
  expect(plainSentence(leaseSentence(quote, write))).toBe(sentence);
});

test.each([
  [{}, "24 monthly payments of 500.00, from 30,000.00 down to 18,000.00, cost 0.00 in rent."],
  [
    { payments: 4, inAdvance: 4, frequency: "quarterly" },
    "One payment of 12,000.00 at signing, from 30,000.00 down to 18,000.00, costs 0.00 in rent.",
  ],
] as const)("a lease in one line: %j", (plan, line) => {
  expect(leaseLine(lease(plan), write)).toBe(line);
});

const NO_RATES = success<CostOfCredit>({ apr: 6.4912, effectiveRate: 6.69 } as CostOfCredit);
const costsOf = (quote: LoanQuote, rates: typeof NO_RATES | undefined) =>
  shownCosts(LOAN_COSTS, { quote, rates }, true).map(
    ({ name, text, includes }) => `${name}: ${text}, ${includes}`,
  );

test("each cost of a loan says what it includes", () => {
  const plain = loan({ ...VAN, down: { amount: "600.00" } });
  expect(costsOf(plain, undefined)).toEqual([
    "Finance charge: 0.00, all interest; no fees",
    "APR: …, a year, by Regulation Z",
    "Effective rate: …, a year, interest on interest",
    "Due at signing: 600.00, cash down",
    "Total cost: 12,000.00, payments + down",
  ]);
  const full = loan({
    ...VAN,
    fees: [
      { name: "Title", amount: "100.00", financed: false },
      { name: "Origination", amount: "240.00", financeCharge: true },
      { name: "Account", amount: "1.00", with: "eachPayment" },
    ],
    tradeIns: [{ allowance: "3000.00", owed: "1000.00" }],
    deposit: "200.00",
    down: { amount: "600.00" },
  });
  expect(costsOf(full, NO_RATES)).toEqual([
    "Finance charge: 240.00, interest 0.00 + fees 240.00",
    "APR: 6.4912 %, a year: interest + fees",
    "Effective rate: 6.69 %, a year, interest on interest",
    "Due at signing: 700.00, cash down and 1 more",
    // 12,000 + 100 + 240 + 12; what was owed on the trade-in is no cost of this deal.
    "Total cost: 12,352.00, payments + charges with them + down + fees at signing + deposit + trade-in − owed on it",
  ]);
});

test("each cost of a lease says what it includes", () => {
  const quote = lease(
    { dispositionFee: "395.00", taxes: [{ name: "Tax", rate: "10", on: ["payment"] }] },
    { tradeIns: [{ allowance: "3000.00", owed: "600.00" }], down: { amount: "1200.00" }, deposit: "240.00" },
  );
  const costs = shownCosts(LEASE_COSTS, { quote, rates: undefined }, false);
  expect(costs.map(({ name, text, includes }) => [name, text, includes])).toEqual([
    ["Payment", "374.00", "340.00 value + 0.00 rent + 34.00 tax"],
    ["Rent in all", "0.00", "implicit rate 0.00 % a year *"],
    ["Lost value", "8,160.00", "26,160.00 − 18,000.00"],
    // 24 × 374 + 1,200 + 240 + 2,400 + 395.
    [
      "Total if handed back",
      "13,211.00",
      "payments + cash + deposit paid + trade-in less owed + fee at the end",
    ],
  ]);
  expect(effectiveRateIfBought({ ...quote, keptEffectiveRate: 4.567 })).toBe(
    "effective rate 4.57 % a year *",
  );
});
