import fc from "fast-check";
import {
  annualPercentageRate,
  costOfCredit,
  effectiveAnnualRate,
  evaluate,
  FREQUENCIES,
  type Frequency,
  stepPeriods,
  type Transaction,
} from "@/core";
import { transactionOf } from "@/core/kinds/loan/credit";
import { runs } from "../runs";
import { date, dealWith, quoteOf } from "./deals";

const RUNS = runs(1500);

const on = (iso: string, amount: number) => [{ date: date(iso), amount: Math.round(amount * 100) }];

/** So many payments, of which the first and the last can be others. */
function series(
  first: string,
  frequency: Frequency,
  count: number,
  payment: number,
  odd: { first?: number; last?: number } = {},
) {
  return Array.from({ length: count }, (_, k) => {
    const amount = (k === 0 && odd.first) || (k === count - 1 && odd.last) || payment;
    const day = stepPeriods(frequency, date(first), k, frequency === "twiceAMonth" ? [1, 16] : undefined);
    return { date: day, amount: Math.round(amount * 100) };
  });
}

const everyFourWeeks = (first: string, count: number, payment: number, firstPayment = payment) =>
  Array.from({ length: count }, (_, k) => ({
    date: date(first) + 28 * k,
    amount: Math.round((k === 0 ? firstPayment : payment) * 100),
  }));

/** Every four weeks, but never twice in a month: the second is two weeks late, and so are those after it. */
function skipping(): Transaction["payments"] {
  const payments: { date: number; amount: number }[] = [];
  for (let day = date("1978-02-20"); payments.length < 24; day += 28) {
    const last = payments.at(-1);
    const month = (each: number) => new Date(each * 864e5).toISOString().slice(0, 7);
    if (last && month(last.date) === month(day)) day += 14;
    payments.push({ date: day, amount: 10_000 });
  }
  return payments;
}

const autumnAndSpring = [78, 79, 80, 81].flatMap(year => [
  ...on(`19${year}-09-05`, 1800),
  ...on(`19${year + 1}-01-05`, 1000),
]);

// 12 CFR 1026, Appendix J, section (c): every example but the variable-payment mortgage of (c)(6)(iii).
test.each<[string, string, Transaction["advances"], Transaction["payments"]]>([
  ["(c)(1)(i)", "9.69", on("1978-01-10", 5000), series("1978-02-10", "monthly", 24, 230)],
  ["(c)(1)(ii)", "11.82", on("1978-02-10", 6000), series("1978-04-01", "monthly", 36, 200)],
  ["(c)(1)(iii)", "10.34", on("1978-02-23", 5000), series("1978-03-01", "twiceAMonth", 24, 219.17)],
  ["(c)(1)(iv)", "8.97", on("1978-05-23", 10_000), series("1978-10-01", "quarterly", 40, 385)],
  ["(c)(1)(v)", "14.96", on("1978-03-20", 500), series("1978-04-21", "weekly", 30, 17.6)],
  ["(c)(2)(i)", "10.08", on("1978-01-10", 5000), series("1978-02-10", "monthly", 24, 230, { first: 250 })],
  ["(c)(2)(ii)", "28.50", on("1978-03-18", 400), everyFourWeeks("1978-04-20", 12, 38.31, 39.5)],
  ["(c)(3)(i)", "10.50", on("1978-01-10", 5000), series("1978-02-10", "monthly", 24, 230, { last: 280 })],
  [
    "(c)(3)(ii)",
    "12.22",
    on("1978-04-03", 200),
    series("1978-04-11", "everyTwoWeeks", 20, 9.5, { last: 30 }),
  ],
  [
    "(c)(4)(i)",
    "10.90",
    on("1978-01-10", 5000),
    series("1978-02-10", "monthly", 24, 230, { first: 250, last: 280 }),
  ],
  [
    "(c)(4)(ii)",
    "7.30",
    on("1978-01-10", 8000),
    series("1978-03-01", "everyTwoMonths", 20, 465, { first: 449.36, last: 200 }),
  ],
  ["(c)(5)(i)", "11.45", on("1978-01-03", 1000), on("1978-09-15", 1080)],
  ["(c)(5)(ii)", "8.80", on("1978-07-15", 1000), on("1979-01-15", 1044)],
  ["(c)(5)(iii)", "8.76", on("1978-01-17", 1000), on("1979-07-17", 1135.19)],
  ["(c)(5)(iv)", "11.36", on("1978-01-03", 1000), on("1980-01-03", 1240)],
  ["(c)(6)(i)", "12.00", on("1978-01-25", 2135), skipping()],
  [
    "(c)(6)(ii)",
    "10.22",
    on("1978-03-03", 7350),
    [
      ...series("1978-09-15", "monthly", 3, 1000),
      ...on("1979-03-15", 2000),
      ...series("1979-09-15", "monthly", 3, 750),
      ...on("1980-02-01", 1000),
    ],
  ],
  [
    "(c)(7)(i)",
    "10.25",
    [...on("1979-04-10", 20_000), ...on("1979-06-12", 20_000), ...on("1979-09-18", 20_000)],
    series("1979-12-10", "monthly", 240, 612.36),
  ],
  ["(c)(7)(ii)", "32.04", autumnAndSpring, series("1978-07-01", "monthly", 50, 240)],
])("Appendix J %s: %s %", (_, percent, advances, payments) => {
  const apr = annualPercentageRate({ advances, payments });
  expect(apr.ok && apr.value.percent.toFixed(2)).toBe(percent);
});

// Directive 98/7/EC, annex II, which first worked the equation through, with the intervals in months.
test.each<[string, Transaction["advances"], Transaction["payments"]]>([
  ["12.92", on("1994-01-01", 1000), on("1995-07-01", 1200)],
  ["16.85", on("1994-01-01", 950), on("1995-07-01", 1200)],
  ["13.07", on("1994-01-01", 1000), [...on("1995-01-01", 600), ...on("1996-01-01", 600)]],
  [
    "13.19",
    on("1994-01-01", 1000),
    [...on("1994-04-01", 272), ...on("1994-07-01", 272), ...on("1995-01-01", 544)],
  ],
])("the effective yearly rate of the published examples: %s %", (percent, advances, payments) => {
  const rate = effectiveAnnualRate({ advances, payments });
  expect(rate.ok && rate.value.toFixed(2)).toBe(percent);
});

test("odd days of the effective rate are over the year that ends with them, weeks over 52", () => {
  // 30 days to 31 January 2028, whose year has 365 days; 19 days to 10 March 2028, whose year has 366.
  const month = effectiveAnnualRate({ advances: on("2028-01-01", 1000), payments: on("2028-01-31", 1010) });
  expect(month.ok && month.value).toBeCloseTo(100 * (1.01 ** (365 / 30) - 1), 9);
  const leap = effectiveAnnualRate({ advances: on("2028-02-20", 1000), payments: on("2028-04-10", 1010) });
  expect(leap.ok && leap.value).toBeCloseTo(100 * (1.01 ** (1 / (1 / 12 + 19 / 366)) - 1), 9);
  const weeks = effectiveAnnualRate({
    advances: on("2027-01-04", 1000),
    payments: [...on("2027-01-18", 505), ...on("2027-02-01", 505)],
  });
  const x = weeks.ok ? weeks.value / 100 : 0;
  expect(505 * (1 + x) ** (-2 / 52) + 505 * (1 + x) ** (-4 / 52)).toBeCloseTo(1000, 9);
});

test("less back than was lent is a rate below zero; impossible flows say why", () => {
  const less = annualPercentageRate({ advances: on("2027-01-01", 1000), payments: on("2028-01-01", 900) });
  expect(less.ok && less.value.percent).toBeCloseTo(-10, 10);
  const tenth = annualPercentageRate({ advances: on("2027-01-01", 1000), payments: on("2028-01-01", 0.01) });
  expect(tenth.ok && tenth.value.percent).toBeCloseTo(-99.999, 8);
  const sentence = (advances: Transaction["advances"], payments: Transaction["payments"]) => {
    const apr = annualPercentageRate({ advances, payments });
    return apr.ok ? "" : apr.failure.sentence;
  };
  expect(sentence([], on("2027-01-01", 1))).toContain("no advance");
  expect(sentence(on("2027-01-01", 1), [])).toContain("no payment");
  expect(sentence(on("2027-01-01", 5), on("2027-01-01", 5))).toContain("on one day");
  expect(sentence(on("2027-01-01", 0), on("2027-02-01", 5))).toContain("above 0");
});

const plans = fc.record({
  price: fc.integer({ min: 10_000, max: 100_000_000 }),
  yearlyRate: fc.integer({ min: 0, max: 100_000 }).map(n => String(n / 1000)),
  payments: fc.integer({ min: 1, max: 120 }),
  frequency: fc.constantFrom(...FREQUENCIES),
  charge: fc.double({ min: 0, max: 0.2, noNaN: true }),
  balloon: fc.constantFrom("0", "30", "90"),
  timing: fc.constantFrom("arrears" as const, "arrears" as const, "advance" as const),
  skipped: fc.constantFrom([], [], [7, 8]),
  odd: fc.integer({ min: 0, max: 60 }),
});

test(`${RUNS} deals: the short way to the yearly rates agrees with the equation amount by amount`, () => {
  let compared = 0;
  fc.assert(
    fc.property(plans, drawn => {
      const signed = date("2027-01-11");
      const odd = drawn.odd > 0 && drawn.timing === "arrears";
      const answer = evaluate(
        dealWith(
          { price: drawn.price },
          {
            yearlyRate: drawn.yearlyRate,
            payments: drawn.payments,
            frequency: drawn.frequency,
            timing: drawn.timing,
            signed,
            firstPayment: odd ? signed + drawn.odd : null,
            balloon: { percent: drawn.balloon },
            prepaidCharge: Math.floor(drawn.price * drawn.charge),
            ...(drawn.skipped.length > 0 && drawn.payments > 14 && { skippedMonths: drawn.skipped }),
          },
        ),
      );
      // Long loans at high rates grow beyond what can be counted.
      if (!answer.ok) return;
      const quote = answer.value;
      const cost = costOfCredit(quote);
      const transaction = transactionOf(quote);
      const [apr, effective] = [annualPercentageRate(transaction), effectiveAnnualRate(transaction)];
      if (!cost.ok || !apr.ok || !effective.ok) {
        expect([cost.ok, apr.ok && effective.ok]).toEqual([false, false]);
        return;
      }
      compared += 1;
      const near = (percent: number) => Math.max(Math.abs(percent) * 1e-9, 1e-9);
      // Few payments two weeks apart can be half months as well: their dates do not tell, their plan does.
      const isHalfMonths = drawn.frequency === "everyTwoWeeks" && apr.value.unitPeriod.unit === "halfMonth";
      if (!isHalfMonths)
        expect(Math.abs(cost.value.apr - apr.value.percent)).toBeLessThan(near(apr.value.percent));
      expect(Math.abs(cost.value.effectiveRate - effective.value)).toBeLessThan(near(effective.value));
      // And the equation holds: what is paid is worth what is lent.
      const { flows, unitPeriod, percent } = apr.value;
      const i = percent / 100 / unitPeriod.perYear;
      const worth = flows.reduce(
        (sum, { amount, periods, part }) => sum + amount / ((1 + part * i) * (1 + i) ** periods),
        0,
      );
      expect(Math.abs(worth)).toBeLessThan(drawn.price * 1e-9);
    }),
    { numRuns: RUNS },
  );
  expect(compared).toBeGreaterThan((RUNS * 5) / 6);
});

test("without charges over equal periods the APR is the yearly rate, but for the cents of rounding", () => {
  const cost = costOfCredit(
    quoteOf(
      dealWith({ price: 1_000_000_000 }, { yearlyRate: "6.49", payments: 72, signed: date("2026-11-24") }),
    ),
  );
  expect(cost.ok && cost.value.apr).toBeCloseTo(6.49, 6);
  expect(cost.ok && cost.value.effectiveRate).toBeCloseTo(100 * ((1 + 0.0649 / 12) ** 12 - 1), 6);
});
