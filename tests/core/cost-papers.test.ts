// What cost papers are made of: the sale on credit, where the amount financed goes, payments in rows, extras one by one.
import fc from "fast-check";
import {
  evaluate,
  extrasOneByOne,
  itemization,
  type LoanQuote,
  type PaymentGroup,
  paymentGroups,
  saleOnCredit,
} from "@/core";
import { type LoanFile, readLoan } from "@/exchange/kinds/loan";
import { runs } from "../runs";
import { dealOf, structures } from "./random-structures";
import { leaseQuote, van } from "./van-lease";

const FILE = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: {
    price: "41850.00",
    taxes: [{ name: "County tax", rate: "6.25", on: ["price", "fees"] }],
    fees: [
      { name: "Documents", amount: "299.00", taxable: true },
      { name: "Origination", percentOf: "loanAmount", percent: "1.5", financeCharge: true },
      { name: "Filing", amount: "40.00", financed: false, financeCharge: true },
    ],
    extras: [{ name: "Service contract", amount: "2195.00" }],
    rebates: [{ name: "Maker rebate", amount: "750.00" }],
    tradeIn: { allowance: "9200.00", owed: "11050.00" },
    down: { amount: "6000.00" },
  },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72 },
  find: "payment",
};

function quoteOf(file: object): LoanQuote {
  const deal = readLoan(file as LoanFile);
  const quote = deal.ok ? evaluate(deal.value) : deal;
  if (!quote.ok) throw new Error(quote.failure.sentence);
  return quote.value;
}
const structured = (structure: object) => quoteOf({ ...FILE, structure });

describe("a sale on credit", () => {
  // 41,850.00 with 9,200.00 allowed, 11,050.00 owed and 6,000.00 cash: 1,850.00 is owed beyond what is allowed.
  const plain = structured({
    price: "41850.00",
    tradeIn: { allowance: "9200.00", owed: "11050.00" },
    down: { amount: "6000.00" },
  });

  test("counts cash wholly in the down payment, or first against what is owed beyond an allowance", () => {
    const wholly = saleOnCredit(plain);
    const first = saleOnCredit(plain, { cashFirstAgainstOwed: true });
    expect([wholly.downPayment, wholly.otherFinanced]).toEqual([600_000, 185_000]);
    expect([first.downPayment, first.otherFinanced]).toEqual([415_000, 0]);
    expect(wholly.totalSalePrice - first.totalSalePrice).toBe(185_000);
    expect(wholly.totalSalePrice).toBe(4_185_000 + 185_000 + plain.financeCharge);
  });

  test("counts what a trade-in is worth, and rebates where the house says so", () => {
    const worth = structured({
      price: "30000.00",
      tradeIns: [
        { name: "Van", allowance: "5000.00", owed: "1000.00" },
        { name: "Bike", allowance: "200.00", owed: "500.00" },
      ],
      rebates: [{ name: "Maker", amount: "750.00" }],
      deposit: "250.00",
    });
    const { cashPrice, downPayment, otherFinanced } = saleOnCredit(worth);
    expect([cashPrice, downPayment, otherFinanced]).toEqual([2_925_000, 25_000 + 370_000, 0]);
    const inDown = saleOnCredit(worth, { rebatesInDown: true });
    expect([inDown.cashPrice, inDown.downPayment]).toEqual([3_000_000, 25_000 + 370_000 + 75_000]);
  });
});

test("the amount financed goes where the structure's lines say", () => {
  const quote = quoteOf(FILE);
  // Tax: 6.25 % of 41,850.00 and 299.00.
  const tax = 263_431;
  const { toCustomer, onAccount, toOthers, prepaid, amountFinanced } = itemization(quote);
  expect(toCustomer).toEqual([]);
  expect(toOthers).toEqual([
    { name: "County tax", amount: tax },
    { name: "Documents", amount: 29_900 },
    { name: "Service contract", amount: 219_500 },
    { name: "what is owed on the trade-in beyond its allowance", amount: 185_000 },
  ]);
  // The price less rebate and cash, less what of the finance charge is paid in cash.
  expect(onAccount.map(({ amount }) => amount)).toEqual([4_185_000 - 75_000 - 600_000 - 4_000]);
  expect(prepaid.map(({ name }) => name)).toEqual(["Origination", "Filing"]);
  expect(prepaid[0]?.amount).toBe(Math.round(quote.loanAmount * 0.015));
  expect(amountFinanced).toBe(quote.amountFinanced);
});

test("a personal loan's goes to the customer, to others, and to what is kept back", () => {
  const quote = structured({
    price: "10000.00",
    purpose: "A piano",
    payoffs: [{ name: "Card", amount: "2400.00" }],
    fees: [
      { name: "Arranging", amount: "300.00", keptBack: true, financeCharge: true },
      { name: "Notary", amount: "80.00" },
    ],
  });
  const { toCustomer, toOthers, prepaid } = itemization(quote);
  expect(quote.loanAmount).toBe(1_008_000);
  expect(toCustomer).toEqual([{ name: "paid to you", amount: 1_000_000 - 240_000 - 30_000 }]);
  expect(toCustomer[0]?.amount).toBe(quote.cashReceived);
  expect(toOthers.map(({ amount }) => amount)).toEqual([8_000, 240_000]);
  expect(prepaid).toEqual([{ name: "Arranging", amount: 30_000 }]);
});

const RUNS = runs(300);

test(`${RUNS} random structures: what is told of them fits together`, () => {
  let told = 0;
  fc.assert(
    fc.property(structures, fc.boolean(), fc.boolean(), (file, cashFirstAgainstOwed, rebatesInDown) => {
      const answer = evaluate(dealOf(file));
      if (!answer.ok) return;
      const quote = answer.value;
      const { toCustomer, onAccount, toOthers, amountFinanced } = itemization(quote);
      const sum = [...toCustomer, ...onAccount, ...toOthers].reduce((all, { amount }) => all + amount, 0);
      expect([sum, amountFinanced]).toEqual([quote.amountFinanced, quote.amountFinanced]);
      if (file.structure.purpose !== undefined) return;
      told++;
      const sale = saleOnCredit(quote, { cashFirstAgainstOwed, rebatesInDown });
      const inCash =
        itemization(quote).prepaid.reduce((all, { amount }) => all + amount, 0) - prepaidInLoan(quote);
      // What is bought, less what is given for it that day, is what is financed (12 CFR 1026.18(b)).
      expect(sale.cashPrice - sale.downPayment + sale.otherFinanced - inCash).toBe(quote.amountFinanced);
      expect(sale.totalSalePrice - sale.downPayment - inCash).toBe(quote.totalOfPayments);
    }),
    { numRuns: RUNS },
  );
  expect(told).toBeGreaterThan(RUNS / 5);
});

/** What of the finance charge is in the loan amount: that less what is financed of the rest. */
const prepaidInLoan = ({ filled: { structure }, reckoned }: LoanQuote) =>
  (["fees", "extras"] as const)
    .flatMap(list =>
      (structure[list] ?? []).map((charge, index) => ({ charge, amount: reckoned[list][index] ?? 0 })),
    )
    .reduce(
      (sum, { charge, amount }) => sum + (charge.isFinanceCharge && charge.paid === "financed" ? amount : 0),
      0,
    );

describe("payments in rows of equal ones", () => {
  const groups = (amounts: number[], kinds: string[] = []) =>
    paymentGroups(
      amounts.map((amount, index) => ({
        number: index + 1,
        date: null,
        amount,
        kind: kinds[index] ?? "payment",
      })),
    ).map(({ count, amount, from, to }: PaymentGroup) => [count, amount, from, to]);

  test("an odd first and last, and a balloon, have rows of their own", () => {
    expect(groups([510, 500, 500, 500, 499])).toEqual([
      [1, 510, 1, 1],
      [3, 500, 2, 4],
      [1, 499, 5, 5],
    ]);
    expect(groups([500, 500, 500], ["payment", "payment", "balloon"])).toEqual([
      [2, 500, 1, 2],
      [1, 500, 3, 3],
    ]);
  });

  test("a date on which nothing is paid is in none, and what follows it has its own row", () => {
    expect(groups([500, 0, 500, 0])).toEqual([
      [1, 500, 1, 1],
      [1, 500, 3, 3],
    ]);
    expect(groups([0, 0])).toEqual([]);
  });
});

describe("extras one by one", () => {
  test("each with the payment that the deal has without it", () => {
    const structure = {
      ...FILE.structure,
      extras: [
        { name: "Service contract", amount: "2195.00" },
        { name: "Payment cover", percentOf: "loanAmount", percent: "1" },
        { name: "Roadside", amount: "4.00", with: "eachPayment" },
      ],
    };
    const one = extrasOneByOne(structured(structure));
    if (!one.ok) throw new Error(one.failure.sentence);
    const { each, withAll, withNone } = one.value;
    const paid = (extras: object[]) => {
      const quote = structured({ ...structure, extras });
      return quote.payment + (quote.charges?.all.each ?? 0);
    };
    const [contract, cover, roadside] = structure.extras as [object, object, object];
    expect(withAll).toBe(paid([contract, cover, roadside]));
    expect(withNone).toBe(paid([]));
    expect(each.map(({ without }) => without)).toEqual([
      paid([cover, roadside]),
      paid([contract, roadside]),
      paid([contract, cover]),
    ]);
    expect(withAll - (each[2]?.without ?? 0)).toBe(400);
  });

  test("of a deal that asks for its price, the price that was found stands; a lease has them, too", () => {
    const { price: _, ...structure } = FILE.structure;
    const plan = { ...FILE.plan, payment: "700.00" };
    const found = quoteOf({ ...FILE, structure, plan, find: "price" });
    const one = extrasOneByOne(found);
    expect(one.ok && one.value.withAll).toBe(found.payment);
    expect(one.ok && (one.value.each[0]?.without ?? 0)).toBeLessThan(found.payment);
    const structureOfVan = { price: "40000.00", extras: [{ name: "Service contract", amount: "1000.00" }] };
    const leased = extrasOneByOne(leaseQuote(van({}, { structure: structureOfVan })));
    expect(leased.ok && [leased.value.withNone, leased.value.each[0]?.price]).toEqual([
      leaseQuote(van()).payment,
      100_000,
    ]);
  });

  test("where payments are agreed there is nothing to set side by side, and why is said", () => {
    const datedPayments = Array.from({ length: 3 }, (_, k) => ({
      date: `2027-0${k + 1}-08`,
      amount: "13500.00",
    }));
    const plan = {
      kind: "loan",
      frequency: "monthly",
      signed: "2026-12-08",
      datedPayments,
    };
    const listed = quoteOf({
      ...FILE,
      structure: { price: "35000.00", extras: FILE.structure.extras },
      plan,
      find: "yearlyRate",
    });
    expect(extrasOneByOne(listed)).toMatchObject({ ok: false });
  });
});
