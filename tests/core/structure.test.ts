// Structures worked out by hand, what contradicts itself, and what a long structure is found through.
import { chargeColumn, evaluate, type LoanQuote, working } from "@/core";
import { priceFile } from "@/exchange/answers/price-file";
import { checkDealFile } from "@/exchange/deal-file/parse";
import { type LoanFile, readLoan } from "@/exchange/kinds/loan";

type Structure = LoanFile["structure"];

const fileOf = (structure: Structure, change: Partial<LoanFile> = {}): LoanFile => ({
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure,
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 48 },
  find: "payment",
  ...change,
});

function answerOf(file: LoanFile): LoanQuote {
  const deal = readLoan(file);
  const quote = deal.ok ? evaluate(deal.value) : deal;
  if (!quote.ok) throw new Error(quote.failure.sentence);
  return quote.value;
}

function refusalOf(file: unknown): string {
  const priced = priceFile(JSON.stringify(file), false);
  if (priced.ok) throw new Error("There is an answer.");
  return priced.sentence;
}

const FEE = { name: "Origination", percentOf: "loanAmount", percent: "1" } as const;
const TAX = { name: "County tax", rate: "10", on: ["price"] } as LoanFile["structure"]["taxes"] extends
  | (infer Taxes)[]
  | undefined
  ? Taxes
  : never;

test("where two cents fit, a fee is the smaller one", () => {
  // 1 % of 49.50 is 0.495, so 0.50 with a loan of 49.50; 0.49 makes 49.49, 1 % of which is 0.4949, so 0.49 fits, too.
  expect(answerOf(fileOf({ price: "49.00", fees: [FEE] })).loanAmount).toBe(49_49);
});

test("several fees of the loan, taxed and not, are solved together with a percent down of everything", () => {
  const quote = answerOf(
    fileOf({
      price: "10000.00",
      taxes: [{ ...TAX, on: ["price", "fees"] }],
      fees: [
        { ...FEE, taxable: true },
        { ...FEE, name: "Broker", percent: "2" },
      ],
      down: { percent: "10", of: "total" },
    }),
  );
  // L = 10,000 + T + F + B − D with F = 1 % of L, B = 2 % of L, T = 10 % of (10,000 + F), D = 10 % of (10,000 + T).
  expect(quote.lines.map(({ amount }) => amount)).toEqual([1_000_000, 101_022, 10_216, 20_431, 110_102]);
  expect(quote.loanAmount).toBe(1_021_567);
});

test("what is reckoned from the loan can come to almost all of it, and no more", () => {
  const half = answerOf(fileOf({ price: "1000.00", fees: [{ ...FEE, percent: "50" }] }));
  expect(half.loanAmount).toBe(200_000);
  expect(refusalOf(fileOf({ price: "1000.00", fees: [{ ...FEE, percent: "100" }] }))).toBe(
    "What is reckoned from the loan amount, or from the total of payments, comes to almost all of the loan or more; lower these percents.",
  );
});

test("a fee with each payment falls with dates on which something is paid", () => {
  const quote = answerOf(
    fileOf(
      {
        price: "5000.00",
        fees: [
          { name: "Account fee", amount: "3.00", with: "eachPayment" },
          { name: "Set-up", amount: "20.00", with: "firstPayment" },
          { name: "Release", amount: "9.00", with: "lastPayment" },
        ],
      },
      {
        plan: {
          kind: "loan",
          frequency: "monthly",
          yearlyRate: "6",
          payments: 4,
          deferred: { payments: 1, interest: "accrues" },
          balloon: { amount: "1000.00" },
        },
      },
    ),
  );
  if (!quote.charges) throw new Error("There are charges.");
  expect(chargeColumn(quote.schedule, quote.charges.all)).toEqual([0, 2300, 300, 1200, 0]);
  expect(quote.totalCost - quote.totalOfPayments).toBe(3 * 300 + 2000 + 900);
  // Not one of them counts in the finance charge.
  expect(quote.financeCharge).toBe(quote.totalInterest);
});

test("a tax is never below nothing, whatever is credited", () => {
  const taxes = [{ ...TAX, tradeInCredit: true }];
  const quote = answerOf(
    fileOf({ price: "5000.00", taxes, tradeIns: [{ allowance: "6000.00", owed: "3000.00" }] }),
  );
  expect([quote.reckoned.taxTotal, quote.loanAmount]).toEqual([0, 200_000]);
});

test("a payment at signing that is rounded to a step leaves the largest cash that fits", () => {
  const plan = {
    kind: "loan",
    frequency: "monthly",
    yearlyRate: "6",
    payments: 48,
    timing: "advance",
    rounding: "up",
    roundingStep: "10.00",
  } as const;
  const due = (cash: number) =>
    answerOf(fileOf({ price: "20000.00", down: { amount: (cash / 100).toFixed(2) } }, { plan })).dueAtSigning
      .total;
  const { down } = answerOf(fileOf({ price: "20000.00", down: { dueAtSigning: "3000.00" } }, { plan }));
  expect(due(down)).toBeLessThanOrEqual(300_000);
  const better = Array.from({ length: 1500 }, (_, k) => down + 1 + k).filter(cash => due(cash) <= 300_000);
  expect(better).toEqual([]);
});

test("a figure is found from what is due at signing, and from the cash received", () => {
  const unfinanced = { name: "Title", percentOf: "price", percent: "1", financed: false } as const;
  const price = answerOf(
    fileOf(
      { fees: [unfinanced], down: { percent: "10" } },
      { find: "price", from: { dueAtSigning: "1100.00" } },
    ),
  );
  // 11 % of the price, each line rounded half up: 10,000.04 still comes to 1,000.00 + 100.00.
  expect([price.price, price.dueAtSigning.total]).toEqual([1_000_004, 110_000]);
  const cash = answerOf(
    fileOf({ price: "9000.00", fees: [unfinanced] }, { find: "down", from: { dueAtSigning: "500.00" } }),
  );
  expect(cash.down).toBe(41_000);
});

test("nothing is found from the cash that a vehicle's loan pays out, because it pays none", () => {
  expect(refusalOf(fileOf({}, { find: "price", from: { cashReceived: "500.00" } }))).toBe(
    "Only a personal loan, with a purpose, pays an amount out to find something from.",
  );
});

test("of several trade-ins the one that leaves its allowance out is found", () => {
  const quote = answerOf(
    fileOf(
      { price: "20000.00", tradeIns: [{ allowance: "3000.00", owed: "0" }, { owed: "1000.00" }] },
      { find: "allowance", from: { loanAmount: "15000.00" } },
    ),
  );
  expect(quote.allowance).toBe(300_000);
  expect(quote.lines.filter(({ figure }) => figure === "allowance").map(({ amount }) => amount)).toEqual([
    300_000, 300_000,
  ]);
});

test("every figure of a long structure shows its working, and the numbers of a sum add up", () => {
  const quote = answerOf(
    fileOf({
      price: "35995.00",
      taxes: [
        { ...TAX, tradeInCredit: true },
        { ...TAX, name: "Road tax", cap: "150.00", financed: false },
      ],
      fees: [FEE, { name: "Account fee", amount: "4.50", with: "eachPayment", financeCharge: true }],
      tradeIns: [{ name: "Ostrel U1", allowance: "7400.00", owed: "250.00" }],
      down: { percent: "10", of: "total" },
    }),
  );
  const taxes = working(quote, "taxTotal");
  expect(taxes.parts.map(({ name, filled }) => [name, filled])).toEqual([
    ["County tax", "28,595.00 × 10 %"],
    ["Road tax", "35,995.00 × 10 %"],
  ]);
  for (const figure of ["dueAtSigning", "totalCost", "loanAmount"] as const) {
    const { filled, result } = working(quote, figure);
    const number = (text: string) => Number(text.replaceAll(",", ""));
    const sum = filled
      .split(/(?= [+−] )/)
      .reduce(
        (total, term) => total + (term.startsWith(" −") ? -1 : 1) * number(term.replace(/^ [+−] /, "")),
        0,
      );
    expect([figure, sum.toFixed(2)]).toEqual([figure, number(result).toFixed(2)]);
  }
});

const KEPT = { name: "Origination", amount: "100.00", keptBack: true };

test.each<[string, object]>([
  [
    "The file has tradeIn and tradeIns; list every trade-in in tradeIns.",
    { tradeIn: { owed: "0", allowance: "1" }, tradeIns: [] },
  ],
  [
    "Fee must have an amount, or a percent with what it is of (percentOf).",
    { fees: [{ name: "Fee", percent: "1" }] },
  ],
  [
    "Fee must have an amount, or a percent with what it is of (percentOf).",
    { fees: [{ name: "Fee", amount: "1", percentOf: "price", percent: "1" }] },
  ],
  [
    "Fee falls with payments and cannot be taxable; give it with its tax in it.",
    { fees: [{ name: "Fee", amount: "1", with: "eachPayment", taxable: true }] },
  ],
  ["Origination cannot be kept back: only a personal loan, with a purpose, pays out cash.", { fees: [KEPT] }],
  [
    "Origination is kept back, so it cannot be paid in another way, too.",
    { purpose: "A piano", fees: [{ ...KEPT, financed: false }] },
  ],
  [
    "County tax is in the price, so nothing can be credited on it, nor it be capped.",
    { taxIncluded: true, taxes: [{ ...TAX, cap: "10" }] },
  ],
  [
    "Rebate cannot come before a tax that is in the price.",
    { taxIncluded: true, taxes: [TAX], rebates: [{ name: "Rebate", amount: "1", beforeTax: true }] },
  ],
  ["Debts are paid off out of a personal loan only; give its purpose.", { payoffs: [] }],
  [
    "A personal loan, with a purpose, has no trade-in.",
    { purpose: "A piano", tradeIns: [{ allowance: "1" }] },
  ],
  ["A personal loan, with a purpose, has no taxes.", { purpose: "A piano", taxes: [TAX] }],
  ["A trade-in has no allowance; give it, or find it.", { tradeIns: [{ owed: "1" }] }],
  [
    "The debts paid off and what is kept back come to 100.00 more than the amount asked for; ask for more, or pay off less.",
    { purpose: "A piano", payoffs: [{ name: "Card", amount: "10100" }] },
  ],
  [
    "The 100.00 due at signing do not pay for what else is due that day, 250.00 without any cash down; give at least that.",
    { fees: [{ name: "Title", amount: "250", financed: false }], down: { dueAtSigning: "100" } },
  ],
  [
    "Fees counted in the finance charge come to 10,000.00 and leave nothing of the 10,000.00 financed; they must be less.",
    { fees: [{ name: "Fee", amount: "10000", financed: false, financeCharge: true }] },
  ],
])("%s", (sentence, structure) => {
  expect(refusalOf(fileOf({ price: "10000.00", ...structure } as Structure))).toBe(sentence);
});

test.each<[string, object]>([
  ["taxes", { taxes: Array.from({ length: 4 }, () => TAX) }],
  ["fees", { fees: Array.from({ length: 21 }, () => FEE) }],
  ["extras", { extras: Array.from({ length: 21 }, () => FEE) }],
  ["rebates", { rebates: Array.from({ length: 11 }, () => ({ name: "Rebate", amount: "1" })) }],
  ["tradeIns", { tradeIns: Array.from({ length: 4 }, () => ({ allowance: "1" })) }],
])("there can be only so many %s", (list, structure) => {
  const checked = checkDealFile(fileOf({ price: "1", ...structure } as Structure));
  expect(checked).toMatchObject({ ok: false, sentence: expect.stringContaining(`structure.${list}`) });
});
