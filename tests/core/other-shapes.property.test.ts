import Decimal from "decimal.js";
import fc from "fast-check";
import { evaluate, type PaymentRow, parseIsoDate, stepPeriods } from "@/core";
import { runs } from "../runs";
import { date, dealWith, quoteOf } from "./deals";

const HIGH = Decimal.clone({ precision: 60, rounding: Decimal.ROUND_HALF_UP });

const rounded = (value: Decimal) => value.toDecimalPlaces(0, Decimal.ROUND_HALF_UP).toNumber();

/** The true rate of one period by halving, to 55 digits. */
function trueRate(amount: number, charge: number, payments: number): Decimal {
  const worthOfOne = new HIGH(amount).div(new HIGH(amount + charge).div(payments));
  let [low, high] = [new HIGH(0), new HIGH(10)];
  for (let step = 0; step < 190; step++) {
    const middle = low.plus(high).div(2);
    const worth = new HIGH(1).minus(middle.plus(1).pow(-payments)).div(middle);
    if (worth.gt(worthOfOne)) low = middle;
    else high = middle;
  }
  return low;
}

/** What each payment's interest is, written from the convention. */
function flatInterest(
  amount: number,
  charge: number,
  payments: number,
  level: number,
  method: string,
): number[] {
  const rate = method === "actuarial" && charge > 0 ? trueRate(amount, charge, payments) : new HIGH(0);
  const digits = (payments * (payments + 1)) / 2;
  const interest: number[] = [];
  let [earned, balance] = [0, amount];
  for (let k = 1; k <= payments; k++) {
    const parts = digits - ((payments - k) * (payments - k + 1)) / 2;
    const byRule =
      method === "actuarial"
        ? rounded(rate.mul(balance))
        : rounded(new HIGH(charge).mul(parts).div(digits)) - earned;
    const each = k === payments ? charge - earned : Math.min(byRule, charge - earned);
    interest.push(each);
    earned += each;
    balance += each - level;
  }
  return interest;
}

test("random flat-rate loans: charge, payment and how it is earned, row by row", () => {
  const methods = fc.constantFrom("actuarial" as const, "sumOfDigits" as const);
  fc.assert(
    fc.property(
      fc.integer({ min: 10_000, max: 50_000_000 }),
      fc.integer({ min: 0, max: 3000 }),
      fc.integer({ min: 1, max: 84 }),
      methods,
      (amount, hundredths, payments, earning) => {
        const yearlyRate = (hundredths / 100).toFixed(2);
        const quote = quoteOf(
          dealWith({ price: amount }, { kind: "flatRate", yearlyRate, payments, earning }),
        );
        const charge = rounded(new HIGH(amount).mul(hundredths).mul(payments).div(120_000));
        const level = rounded(new HIGH(amount + charge).div(payments));
        expect([quote.financeCharge, quote.payment]).toEqual([charge, level]);
        expect(quote.totalOfPayments).toBe(amount + charge);
        if (quote.payments < payments) return;
        expect(quote.schedule.map(row => row.interest)).toEqual(
          flatInterest(amount, charge, payments, level, earning),
        );
        expect(quote.schedule.at(-1)?.balance).toBe(0);
      },
    ),
    { numRuns: runs(800) },
  );
});

test("random lists of dated payments: the open ones are solved for, row by row", () => {
  const gaps = fc.array(fc.integer({ min: 1, max: 400 }), { minLength: 1, maxLength: 12 });
  fc.assert(
    fc.property(
      fc.integer({ min: 10_000, max: 50_000_000 }),
      fc.integer({ min: 0, max: 3000 }),
      gaps,
      fc.array(fc.boolean(), { minLength: 12, maxLength: 12 }),
      (amount, hundredths, days, open) => {
        const signed = date("2027-01-15");
        let day = signed;
        const share = Math.floor(amount / (days.length * 3));
        const list = days.map((gap, index) => {
          day += gap;
          return { date: day, amount: open[index] || index === days.length - 1 ? null : share };
        });
        const plan = {
          yearlyRate: (hundredths / 100).toFixed(2),
          payments: null,
          signed,
          datedPayments: list,
        };
        const quote = quoteOf(dealWith({ price: amount }, plan));
        const rates = days.map(gap => new HIGH(hundredths).mul(gap).div(3_650_000));
        let [discount, given, level] = [new HIGH(1), new HIGH(0), new HIGH(0)];
        rates.forEach((rate, index) => {
          discount = discount.div(rate.plus(1));
          const agreed = list[index]?.amount ?? null;
          if (agreed === null) level = level.plus(discount);
          else given = given.plus(discount.mul(agreed));
        });
        const payment = rounded(new HIGH(amount).minus(given).div(level));
        expect(quote.payment).toBe(payment);
        let balance = amount;
        const rows = rates.map((rate, index) => {
          const interest = rounded(rate.mul(balance));
          const agreed = list[index]?.amount ?? payment;
          const paid = index === rates.length - 1 ? balance + interest : agreed;
          balance += interest - paid;
          return [paid, interest, balance];
        });
        expect(quote.schedule.map(row => [row.payment, row.interest, row.balance])).toEqual(rows);
      },
    ),
    { numRuns: runs(800) },
  );
});

describe("twice a month", () => {
  const dates = (rows: PaymentRow[]) =>
    rows.map(row => new Date((row.date ?? 0) * 864e5).toISOString().slice(0, 10));

  test("falls on the two chosen days, or on the last day of a shorter month", () => {
    const plan = { payments: 6, frequency: "twiceAMonth" as const, signed: date("2027-01-15") };
    const chosen = quoteOf(dealWith({}, { ...plan, twiceMonthlyDays: [15, 31] }));
    expect(dates(chosen.schedule)).toEqual([
      "2027-01-31",
      "2027-02-15",
      "2027-02-28",
      "2027-03-15",
      "2027-03-31",
      "2027-04-15",
    ]);
    // Without them the day of the contract and the one 15 days away.
    const derived = quoteOf(dealWith({}, { ...plan, signed: date("2027-01-10") }));
    expect(dates(derived.schedule).slice(0, 3)).toEqual(["2027-01-25", "2027-02-10", "2027-02-25"]);
    // A half month is one 24th of a year.
    expect(chosen.schedule[0]?.interest).toBe(Math.round((1_000_000 * 0.06) / 24));
  });

  test("a start on neither day is an odd first period by thirtieths of a month", () => {
    const quote = quoteOf(
      dealWith(
        {},
        { payments: 6, frequency: "twiceAMonth", signed: date("2027-01-10"), twiceMonthlyDays: [1, 16] },
      ),
    );
    expect(dates(quote.schedule)[0]).toBe("2027-01-16");
    expect(quote.schedule[0]?.interest).toBe(Math.round(((1_000_000 * 0.06) / 24) * (6 / 15)));
  });

  test("steps there and back over any days", () => {
    const two = fc
      .tuple(fc.integer({ min: 1, max: 27 }), fc.integer({ min: 1, max: 31 }))
      .filter(([a, b]) => a < b);
    fc.assert(
      fc.property(two, fc.integer({ min: -50, max: 50 }), ([first, second], periods) => {
        const start = parseIsoDate(`2027-03-${String(first).padStart(2, "0")}`) ?? 0;
        const there = stepPeriods("twiceAMonth", start, periods, [first, second]);
        expect(stepPeriods("twiceAMonth", there, -periods, [first, second])).toBe(start);
      }),
    );
  });
});

test("a yearly extra is the same as its dates one by one", () => {
  const plan = { payments: 60, yearlyRate: "7.3", signed: date("2027-01-15") };
  const yearly = quoteOf(
    dealWith({}, { ...plan, extra: { yearly: { amount: 20_000, from: date("2028-02-29") } } }),
  );
  const once = ["2028-02-29", "2029-02-28", "2030-02-28", "2031-02-28"].map(on => ({
    amount: 20_000,
    date: date(on),
  }));
  const listed = quoteOf(dealWith({}, { ...plan, extra: { once } }));
  expect(yearly.schedule).toEqual(listed.schedule);
});

test("an amount financed stands in for the price where something else is found", () => {
  const deal = dealWith({ price: null, down: { percent: "20" } }, { payment: 19_333, payments: 60 });
  const from = { figure: "amountFinanced" as const, value: 1_000_000 };
  const payment = quoteOf({ ...deal, plan: { ...deal.plan, payment: null }, from });
  expect(payment).toMatchObject({ payment: 19_333, price: 1_250_000, down: 250_000 });
  const rate = quoteOf({ ...deal, plan: { ...deal.plan, yearlyRate: null }, find: "yearlyRate", from });
  expect(rate).toMatchObject({ yearlyRate: "6", amountFinanced: 1_000_000 });
  const none = evaluate({
    ...deal,
    structure: { ...deal.structure, tradeIns: [{ allowance: 0, owed: 2_000_000 }] },
    plan: { ...deal.plan, payment: null },
    from,
  });
  expect(none.ok ? "" : none.failure.sentence).toContain("No price leaves 10,000.00 to finance");
});

test("price, cash down, rate and balloon are found from an end date with its payment", () => {
  const end = { figure: "endDate" as const, value: date("2032-01-20") };
  const open = { payments: null, payment: 19_333, signed: date("2027-01-15") };
  // The last date on or before 20 January 2032 is the 60th.
  const price = quoteOf({ ...dealWith({ price: null }, open, "price"), from: end });
  expect(price).toMatchObject({ price: 1_000_036, payments: 60, finalDate: date("2032-01-15") });
  const down = quoteOf({ ...dealWith({ price: 1_200_000, down: null }, open, "down"), from: end });
  expect(down.amountFinanced).toBe(1_000_036);
  const rate = quoteOf({ ...dealWith({}, { ...open, yearlyRate: null }, "yearlyRate"), from: end });
  expect(rate.yearlyRate).toBe("6");
  const balloon = quoteOf({ ...dealWith({ price: 1_100_000 }, open, "balloon"), from: end });
  expect(balloon.payment).toBeLessThanOrEqual(19_333);
  expect(balloon.payments).toBe(60);
});
