// Money kept or paid in, against sums of powers at 50 digits.
import Decimal from "decimal.js";
import fc from "fast-check";
import { evaluate, keepOrPay } from "@/core";
import { fewerRuns, runs } from "../runs";
import { amounts, dealWith, quoteOf, rates } from "./deals";

const RUNS = fewerRuns(100, 400);
const Exact = Decimal.clone({ precision: 60 });

type Paid = { number: number; payment: number }[];

/** A level loan's table in plain whole numbers: what is paid on each date, with money after one of them. */
function paid(
  { amount, rate, payments, payment }: { amount: number; rate: string; payments: number; payment: number },
  lump?: { after: number; amount: number },
): Paid {
  const rows: Paid = [];
  let balance = amount;
  for (let number = 1; number <= payments && balance > 0; number++) {
    const interest = new Exact(rate)
      .mul(balance)
      .div(1200)
      .toDecimalPlaces(0, Decimal.ROUND_HALF_UP)
      .toNumber();
    const asked = number === payments ? balance + interest : Math.min(payment, balance + interest);
    balance += interest - asked;
    rows.push({ number, payment: asked });
    if (number === lump?.after) balance -= lump.amount;
  }
  return rows;
}

test(`${RUNS} times what money leaves kept or paid in is the sum of powers, rounded once`, () => {
  let both = 0;
  fc.assert(
    fc.property(
      amounts,
      rates,
      fc.integer({ min: 2, max: 60 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0.001, max: 1.3, noNaN: true }),
      fc.integer({ min: -2000, max: 3000 }).map(n => String(n / 100)),
      fc.constantFrom("0", "25", "26.375", "100"),
      (price, yearlyRate, payments, at, share, rate, tax) => {
        const quote = evaluate(dealWith({ price }, { yearlyRate, payments }));
        if (!quote.ok || quote.value.payments < payments) return;
        const after = 1 + Math.floor(at * (payments - 1));
        const owed = quote.value.schedule[after - 1]?.balance ?? 0;
        const lump = Math.max(Math.ceil(owed * share), 1);
        const told = keepOrPay(quote.value, after, lump, { rate, tax });
        if (!told.ok) throw new Error(told.failure.sentence);
        const credited = Math.min(lump, owed);
        const given = { amount: price, rate: yearlyRate, payments, payment: quote.value.payment };
        const planned = paid(given);
        const still = new Map(
          paid(given, { after, amount: credited }).map(each => [each.number, each.payment]),
        );
        const growth = new Exact(1).plus(
          new Exact(rate).div(100).mul(new Exact(1).minus(new Exact(tax).div(100))),
        );
        const after12 = (number: number) => growth.pow(new Exact(payments - number).div(12));
        const kept = after12(after).mul(lump);
        let paidIn = after12(after).mul(lump - credited);
        for (const { number, payment } of planned)
          if (number > after) paidIn = paidIn.plus(after12(number).mul(payment - (still.get(number) ?? 0)));
        const rounded = (value: Decimal) => Number(value.plus(0.5).floor().toFixed(0));
        expect([told.value.kept, told.value.paidIn]).toEqual([rounded(kept), rounded(paidIn)]);
        expect(told.value.difference).toBe(told.value.paidIn - told.value.kept);
        expect(told.value.rest).toBe(lump - credited);
        both += 1;
      },
    ),
    { numRuns: RUNS },
  );
  expect(both).toBeGreaterThan(RUNS / 2);
});

test("at the return where they tie neither leaves more, on either side of it one does", () => {
  fc.assert(
    fc.property(
      rates,
      fc.integer({ min: 12, max: 72 }),
      fc.constantFrom("0", "25"),
      (yearlyRate, payments, tax) => {
        const quote = evaluate(dealWith({ price: 3_842_500 }, { yearlyRate, payments }));
        if (!quote.ok) return;
        const told = keepOrPay(quote.value, 6, 400_000, { rate: "4", tax });
        const tie = told.ok ? told.value.tieReturn : null;
        if (tie === null || tie <= 0.01) return;
        const at = (rate: number) => {
          const there = keepOrPay(quote.value, 6, 400_000, { rate: rate.toFixed(8), tax });
          return there.ok ? there.value.difference : Number.NaN;
        };
        expect(Math.abs(at(tie))).toBeLessThanOrEqual(
          1 + 1e-7 * 400_000 * (1 + tie / 100) ** (payments / 12),
        );
        expect(at(tie * 0.9)).toBeGreaterThanOrEqual(0);
        expect(at(tie * 1.1)).toBeLessThanOrEqual(0);
      },
    ),
    { numRuns: runs(60) },
  );
});

test("the example of the documentation, a loss, a charge that the money bears, and no tie", () => {
  const deal = dealWith({ price: 3_842_500 }, { yearlyRate: "6.49", payments: 72 });
  const plain = quoteOf(deal);
  const told = keepOrPay(plain, 24, 400_000, { rate: "4.2", tax: "0" });
  expect(told).toMatchObject({ ok: true, value: { kept: 471_553, paidIn: 514_684, difference: 43_131 } });
  expect(told.ok && told.value.tieReturn?.toFixed(4)).toBe("6.6867");
  const taxed = keepOrPay(plain, 24, 400_000, { rate: "4.2", tax: "25" });
  expect(taxed.ok && taxed.value.tieReturn?.toFixed(4)).toBe("8.9156");
  expect(keepOrPay(plain, 24, 400_000, { rate: "4.2", tax: "100" })).toMatchObject({
    value: { kept: 400_000, tieReturn: null },
  });
  // Everything owed and more: the rest grows, too.
  const owed = plain.schedule[23]?.balance ?? 0;
  expect(keepOrPay(plain, 24, owed + 100_000, { rate: "0", tax: "0" })).toMatchObject({
    value: { credited: owed, rest: 100_000, kept: owed + 100_000, paidInEnd: 24 },
  });
  // 1 % is borne by the money: 3,960.40 and 39.60 of charge are the most that 4,000.00 pays for.
  const charged = quoteOf({
    ...deal,
    plan: { ...deal.plan, earlyFee: [{ percent: "1", on: "anyEarlyMoney" }] },
  });
  expect(keepOrPay(charged, 24, 400_000, { rate: "4.2", tax: "0" })).toMatchObject({
    value: { credited: 396_040, earlyFee: 3_960, rest: 0, kept: 471_553 },
  });
  // A charge of more than the money leaves nothing to credit, so that keeping and paying in are the same.
  const tooDear = quoteOf({
    ...deal,
    plan: { ...deal.plan, earlyFee: [{ amount: 500_000, on: "anyEarlyMoney" }] },
  });
  expect(keepOrPay(tooDear, 24, 400_000, { rate: "4.2", tax: "0" })).toMatchObject({
    value: { credited: 0, difference: 0, tieReturn: null },
  });
  const refused = (rate: string, tax: string, after = 24) => {
    const answer = keepOrPay(plain, after, 400_000, { rate, tax });
    return answer.ok ? "" : answer.failure.sentence;
  };
  expect(refused("-100", "0")).toContain("would leave nothing");
  expect(refused("-120", "25")).toBe("");
  expect(refused("x", "0")).toContain("is not a percent");
  expect(refused("4", "101")).toContain("it can be 0 to 100");
  expect(refused("4", "0", 73)).toContain("after payment 1 to 72");
});
