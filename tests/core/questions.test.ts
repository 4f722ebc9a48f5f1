import fc from "fast-check";
import {
  affordability,
  evaluate,
  type LoanPlan,
  type Payoff,
  paymentPerThousand,
  payoffAfter,
  payoffOn,
  type Result,
  totalsBetweenDates,
  totalsBetweenPayments,
  totalsByYear,
} from "@/core";
import { amounts, date, dealWith, quoteOf, rates, roundings } from "./deals";

function got<Value>(result: Result<Value>): Value {
  if (!result.ok) throw new Error(result.failure.sentence);
  return result.value;
}

const sentenceOf = (result: Result<unknown>) => (result.ok ? "" : result.failure.sentence);

/** 10,000.00 at 8 % over 24 months from 15 January 2027. */
const SIGNED = date("2027-01-15");
const plain = quoteOf(dealWith({}, { yearlyRate: "8", payments: 24, signed: SIGNED }));

describe("payoff", () => {
  test("after a payment it is what the table owes", () => {
    const payoff = got(payoffAfter(plain, 10));
    expect(payoff).toMatchObject({ payoff: plain.schedule[9]?.balance, interest: 0, afterPayment: 10 });
    expect(got(payoffAfter(plain, 0)).payoff).toBe(1_000_000);
    expect(got(payoffAfter(plain, 24)).payoff).toBe(0);
  });

  test("on a date: interest for the days since the last payment, and for each further day", () => {
    const balance = plain.schedule[1]?.balance ?? 0;
    const payoff = got(payoffOn(plain, date("2027-03-25")));
    // 15 March to 15 April has 31 days; ten of them have passed.
    const day = (balance * 0.08) / 12 / 31;
    expect(payoff).toMatchObject({ afterPayment: 2, balance, interest: Math.round(10 * day) });
    expect(payoff.perDay).toBeCloseTo(day, 6);
    const tomorrow = got(payoffOn(plain, date("2027-03-26")));
    expect(Math.abs(tomorrow.payoff - payoff.payoff - day)).toBeLessThan(1);
  });

  test("with interest day by day, on the plan's own count of days", () => {
    const quote = quoteOf(
      dealWith({}, { yearlyRate: "8", payments: 24, signed: SIGNED, dayCount: "actual/360" }),
    );
    const balance = quote.schedule[1]?.balance ?? 0;
    const payoff = got(payoffOn(quote, date("2027-04-14")));
    expect(payoff.interest).toBe(Math.round((balance * 0.08 * 30) / 360));
    expect(payoff.perDay).toBeCloseTo((balance * 0.08) / 360, 6);
  });

  test("an extra in between lowers the interest from its day on", () => {
    const once = [{ amount: 100_000, date: date("2027-03-20") }];
    const quote = quoteOf(dealWith({}, { yearlyRate: "8", payments: 24, signed: SIGNED, extra: { once } }));
    const before = quote.schedule[1]?.balance ?? 0;
    const payoff = got(payoffOn(quote, date("2027-03-25")));
    const interest = (before * 5 + (before - 100_000) * 5) * (0.08 / 12 / 31);
    expect(payoff).toMatchObject({ balance: before - 100_000, interest: Math.round(interest) });
  });

  test("a balloon is still owed after the last payment", () => {
    const quote = quoteOf(dealWith({}, { payments: 12, balloon: { amount: 300_000 }, signed: SIGNED }));
    expect(got(payoffAfter(quote, 12)).payoff).toBe(300_000);
  });

  test("a flat-rate loan: both refunds, the sum of the digits by its formula", () => {
    // 10,000.00 at 5 % flat over 36 months: 1,500.00 of charge, of which 24 × 25 / (36 × 37) is not earned.
    const flat = { kind: "flatRate" as const, yearlyRate: "5", payments: 36, signed: SIGNED };
    const quote = quoteOf(dealWith({}, { ...flat, earning: "sumOfDigits" }));
    const payoff = got(payoffAfter(quote, 12));
    const [actuarial, digits] = payoff.refunds ?? [];
    expect(digits).toMatchObject({ method: "sumOfDigits", refund: 67_568 });
    // Twelve of 319.44 are paid of 11,500.00.
    expect(digits?.payoff).toBe(1_150_000 - 12 * 31_944 - 67_568);
    expect(payoff.payoff).toBe(digits?.payoff);
    // At the true 9.3105 % a year the balance after twelve payments by annuity, to within the rounding of rows.
    const i = 0.0931050885991934 / 12;
    const grown = (1 + i) ** 12;
    const balance = 1_000_000 * grown - (1_150_000 / 36) * ((grown - 1) / i);
    expect(Math.abs((actuarial?.payoff ?? 0) - balance)).toBeLessThan(12);
    expect(got(payoffAfter(quoteOf(dealWith({}, flat)), 12)).payoff).toBe(actuarial?.payoff);
  });

  test("what is no payment or date of the loan is refused", () => {
    expect(sentenceOf(payoffAfter(plain, 25))).toContain("it can be 0, for the start, to 24");
    expect(sentenceOf(payoffOn(plain, date("2026-12-01")))).toContain("from 2027-01-15 to 2029-01-15");
    expect(sentenceOf(payoffOn(quoteOf(dealWith({})), SIGNED))).toContain("needs the contract date");
  });
});

describe("settling a loan", () => {
  const dated = (plan: Partial<LoanPlan> = {}) =>
    quoteOf(dealWith({}, { yearlyRate: "8", payments: 24, signed: SIGNED, ...plan }));

  test("good ten days beyond the day, each with the unrounded amount per day, rounded once", () => {
    const balance = plain.schedule[1]?.balance ?? 0;
    const payoff = got(payoffOn(plain, date("2027-03-25")));
    const day = (balance * 0.08) / 12 / 31;
    expect(payoff).toMatchObject({
      earlyFee: 0,
      settle: payoff.payoff,
      goodThrough: date("2027-04-04"),
      settleThrough: payoff.payoff + Math.round(10 * day),
      passesPayment: false,
    });
  });

  test("through another day; on the day itself it is the sum of the day", () => {
    const on = date("2027-03-25");
    const day = got(payoffOn(plain, on)).perDay ?? 0;
    const later = got(payoffOn(plain, on, { goodThrough: on + 40 }));
    expect(later).toMatchObject({ settleThrough: later.settle + Math.round(40 * day), passesPayment: true });
    expect(got(payoffOn(plain, on, { goodThrough: on }))).toMatchObject({
      settleThrough: later.settle,
      passesPayment: false,
    });
    expect(sentenceOf(payoffOn(plain, on, { goodThrough: on - 1 }))).toContain("is before 2027-03-25");
  });

  test("a payment due on the day asked counts as made", () => {
    const payoff = got(payoffOn(plain, date("2027-03-15"), { goodThrough: date("2027-03-15") }));
    expect(payoff).toMatchObject({ afterPayment: 2, settle: plain.schedule[1]?.balance, interest: 0 });
    expect(payoff.settleThrough).toBe(payoff.settle);
  });

  test("by the plan's own count of days", () => {
    const quote = dated({ dayCount: "actual/360" });
    const payoff = got(payoffOn(quote, date("2027-03-25")));
    expect(payoff.settleThrough).toBe(payoff.payoff + Math.round((payoff.balance * 0.08 * 10) / 360));
  });

  test("without dates there is a sum after a payment, and none through a day", () => {
    const undated = quoteOf(dealWith({}, { yearlyRate: "8", payments: 24 }));
    expect(got(payoffAfter(undated, 10))).toMatchObject({ goodThrough: null, settleThrough: null });
  });

  test("with the charge for paying early, of the balance after the last payment", () => {
    const balance = plain.schedule[1]?.balance ?? 0;
    const on = date("2027-03-25");
    const percent = got(payoffOn(dated({ earlyFee: [{ percent: "1" }] }), on));
    expect(percent).toMatchObject({
      earlyFee: Math.round(balance / 100),
      settle: percent.payoff + percent.earlyFee,
    });
    const periods = got(payoffOn(dated({ earlyFee: [{ interestPeriods: 2 }] }), on));
    expect(periods.earlyFee).toBe(Math.round((balance * 0.08 * 2) / 12));
    // Up to the day of payment 2 and no longer.
    const until = [{ amount: 9_900, until: 2 }];
    expect(got(payoffOn(dated({ earlyFee: until }), date("2027-03-15"))).earlyFee).toBe(9_900);
    expect(got(payoffOn(dated({ earlyFee: until }), date("2027-03-16"))).earlyFee).toBe(0);
    // No more than what interest is still to come.
    const left = plain.schedule.slice(23).reduce((sum, { interest }) => sum + interest, 0);
    const capped = dated({ earlyFee: [{ amount: 9_900, most: "interestLeft" }] });
    expect(got(payoffAfter(capped, 23)).earlyFee).toBe(left);
    expect(got(payoffAfter(capped, 24)).earlyFee).toBe(0);
  });

  test("in the United States a flat-rate loan of over 61 months is refunded by the actuarial method alone", () => {
    const flat = (payments: number, more: Partial<LoanPlan> = {}) =>
      dated({ kind: "flatRate", yearlyRate: "5", payments, earning: "sumOfDigits", ...more });
    const there = { place: "US" };
    const long = got(payoffAfter(flat(62), 20, there));
    const actuarial = got(payoffAfter(flat(62, { earning: "actuarial" }), 20));
    expect(long).toMatchObject({ payoff: actuarial.payoff, balance: actuarial.balance });
    expect(long.refunds?.map(({ method }) => method)).toEqual(["actuarial"]);
    expect(long.note).toContain("15 U.S.C. 1615(b)");
    const digits = got(payoffAfter(flat(62), 20));
    expect(digits.payoff).not.toBe(actuarial.payoff);
    expect(digits.refunds).toHaveLength(2);
    // 61 months, another place, or a plan that is actuarial in any case.
    expect(got(payoffAfter(flat(61), 20, there)).refunds).toHaveLength(2);
    expect(got(payoffAfter(flat(62), 20, { place: "CA" })).refunds).toHaveLength(2);
    expect(got(payoffAfter(flat(62, { earning: "actuarial" }), 20, there)).note).toBeUndefined();
  });
});

test("a payoff is as far from the formula as the rounding of its rows allows, and the same without interest", () => {
  fc.assert(
    fc.property(
      amounts,
      rates,
      fc.integer({ min: 2, max: 120 }),
      roundings,
      (price, yearlyRate, payments, rounding) => {
        const quote = evaluate(dealWith({ price }, { yearlyRate, payments, rounding }));
        if (!quote.ok || quote.value.payments < payments) return;
        const after = Math.ceil(payments / 2);
        if (after >= payments) return;
        const payoff = got(payoffAfter(quote.value, after)).balance;
        const i = Number(yearlyRate) / 1200;
        const grown = i === 0 ? after : ((1 + i) ** after - 1) / i;
        const formula = price * (1 + i) ** after - quote.value.payment * grown;
        // Half a unit in every row, with its interest; none where there is no interest to round.
        const mostOff = i === 0 ? 0 : 0.5 * grown;
        expect(Math.abs(formula - payoff)).toBeLessThanOrEqual(mostOff * (1 + 1e-9) + 1e-6 * price ** 0.5);
      },
    ),
    { numRuns: 2000 },
  );
});

describe("totals", () => {
  test("between two payments they are the difference of what is owed, and the payments made", () => {
    const totals = got(totalsBetweenPayments(plain, 7, 18));
    const [before, after] = [plain.schedule[5]?.balance ?? 0, plain.schedule[17]?.balance ?? 0];
    expect(totals).toEqual({
      count: 12,
      payment: 12 * plain.payment,
      principal: before - after,
      interest: 12 * plain.payment - (before - after),
      balance: after,
    });
  });

  test("of the years come to those of the loan, and a year's to those between its dates", () => {
    const years = got(totalsByYear(plain));
    expect(years.map(({ year, count }) => [year, count])).toEqual([
      [2027, 11],
      [2028, 12],
      [2029, 1],
    ]);
    const sum = (figure: "payment" | "interest") => years.reduce((all, year) => all + year[figure], 0);
    expect([sum("payment"), sum("interest")]).toEqual([plain.totalOfPayments, plain.financeCharge]);
    const { year: _, ...of2028 } = years[1] ?? { year: 0 };
    expect(got(totalsBetweenDates(plain, date("2028-01-01"), date("2028-12-31")))).toEqual(of2028);
    // A time without payments has none, and what is owed stays.
    const none = got(totalsBetweenDates(plain, date("2026-01-01"), date("2027-01-31")));
    expect(none).toEqual({ count: 0, payment: 0, interest: 0, principal: 0, balance: 1_000_000 });
  });

  test("what is no range is refused", () => {
    expect(sentenceOf(totalsBetweenPayments(plain, 5, 3))).toContain("they can be 1 to 24");
    expect(sentenceOf(totalsBetweenDates(plain, 9, 3))).toContain("earlier one first");
    expect(sentenceOf(totalsByYear(quoteOf(dealWith({}))))).toContain("need the contract date");
  });
});

test("a budget: the most that can be financed over each term, and the price it buys", () => {
  // 550.00 at 6.49 %, worked to 60 digits outside this project.
  const deal = dealWith(
    { tradeIns: [{ allowance: 920_000, owed: 1_105_000 }], down: { amount: 300_000 } },
    { yearlyRate: "6.49" },
  );
  const rows = got(affordability(deal, 55_000, [48, 60, 72, 0]));
  expect(rows.slice(0, 3)).toEqual(
    [2_319_684, 2_811_675, 3_272_832].map((loanAmount, index) => ({
      payments: 48 + 12 * index,
      loanAmount,
      amountFinanced: loanAmount,
      price: loanAmount + 920_000 - 1_105_000 + 300_000,
      payment: 55_000,
    })),
  );
  expect(rows[3]).toEqual({ payments: 0, sentence: expect.stringContaining("from 1 to 1,200") });
  expect(sentenceOf(affordability(deal, 0, [48]))).toContain("The budget is 0");
});

test("the payment for each 1,000 financed", () => {
  const rows = paymentPerThousand(dealWith({}), ["6.49"], [48, 60, 72]);
  const unrounded = [23.7103410387965, 19.5614645766896, 16.805168825118];
  expect(rows).toEqual(
    [2371, 1956, 1681].map((payment, index) => ({
      yearlyRate: "6.49",
      payments: 48 + 12 * index,
      payment,
      unrounded: expect.closeTo(100 * (unrounded[index] ?? 0), 8),
    })),
  );
});

describe("extra money", () => {
  const deal = dealWith({ price: 2_000_000 }, { yearlyRate: "7", payments: 60, signed: SIGNED });

  test("says what it saves against the same loan without it", () => {
    const without = quoteOf(deal);
    const extra = { each: { amount: 5000 }, yearly: { amount: 50_000, from: date("2027-12-01") } };
    const quote = quoteOf({ ...deal, plan: { ...deal.plan, extra } });
    expect(quote.saved).toEqual({
      interest: without.financeCharge - quote.financeCharge,
      payments: 60 - quote.payments,
      finalDateWithout: without.finalDate,
    });
    const extras = quote.schedule.filter(row => row.kind === "extra");
    expect(extras.every(row => row.payment === 50_000)).toBe(true);
    expect(quote.schedule.at(-1)?.balance).toBe(0);
  });

  test("the smallest extra that ends the loan by a date or a number of payments", () => {
    const open = { ...deal, find: "extra" as const };
    const byCount = quoteOf({ ...open, from: { figure: "payments", value: 48 } });
    const byDate = quoteOf({ ...open, from: { figure: "endDate", value: date("2031-01-15") } });
    expect(byDate.extraEach).toBe(byCount.extraEach);
    expect(byCount.payments).toBe(48);
    const less = quoteOf({
      ...deal,
      plan: { ...deal.plan, extra: { each: { amount: byCount.extraEach - 1 } } },
    });
    expect(less.payments).toBe(49);
    // The level payment over 48 months, less the one over 60, to within the rounding of rows.
    const i = 0.07 / 12;
    const level = (n: number) => (2_000_000 * i) / (1 - (1 + i) ** -n);
    expect(Math.abs(byCount.extraEach - (level(48) - level(60)))).toBeLessThan(2);
  });
});

test("a payoff of every kind is data without functions", () => {
  const payoff: Payoff = got(payoffAfter(plain, 3));
  expect(structuredClone(payoff)).toEqual(payoff);
});
