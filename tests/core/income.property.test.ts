// What a lender's reserve comes to, against arithmetic written apart: loans in 200 decimals, leases and flat rates in 60 digits.
import Decimal from "decimal.js";
import fc from "fast-check";
import {
  chargebackAfter,
  evaluate,
  evaluateLease,
  income,
  incomeThatEarns,
  NO_SIDE,
  type Quote,
  type ReserveTerms,
  reserveOf,
} from "@/core";
import type { LeaseFile } from "@/exchange/kinds/lease";
import { fewerRuns, runs } from "../runs";
import { dealWith } from "./deals";
import { daysBetween } from "./exact-dates";
import { exactBasePayment, exactRate, exactResidual } from "./exact-lease";
import { type ExactPlan, type ExactRow, halfUp, periodsOf, SCALE } from "./exact-periods";
import { balloonRate, exactPlanTable } from "./exact-plan";
import { leaseOf, leases } from "./random-leases";
import { corePlan, shaped } from "./random-plans";

const RUNS = fewerRuns(100, 1000);
const Exact = Decimal.clone({ precision: 60 });

/** What a buy rate is of the contract's, in thousandths: mostly less, at times the same or more. */
const parts = fc.oneof(
  { weight: 6, arbitrary: fc.integer({ min: 0, max: 999 }) },
  { weight: 1, arbitrary: fc.constant(1000) },
  { weight: 1, arbitrary: fc.integer({ min: 1001, max: 1100 }) },
);

const partOf = (rate: string | number, thousandths: number, places: number) =>
  new Exact(rate).mul(thousandths).div(1000).toDecimalPlaces(places).toFixed();

const reserveIn = (quote: Quote, method: "presentValue" | "interestShare", buyRate: string) => {
  const reserve = reserveOf(quote, { reserve: { method }, buyRate });
  return reserve.ok ? reserve.value?.amount : reserve.failure.sentence;
};

/**
 * What the rows of a loan are worth at a plan's rates when the money is lent: each discounted by itself, and added up. Of a
 * period that an extra ends the loan in, no more counts than up to its day.
 */
function exactWorth(plan: ExactPlan, rows: readonly ExactRow[]): bigint {
  const end = rows.at(-1)?.date ?? plan.signed;
  let worth = 0n;
  let before = SCALE;
  let left = rows;
  for (const { from, date, rate } of periodsOf(plan)) {
    const after = (before * SCALE) / (SCALE + rate);
    const days = BigInt(Math.max(daysBetween(from, date), 1));
    for (const row of left.filter(each => each.date <= date)) {
      const passed = row.date === date ? days : BigInt(daysBetween(from, row.date));
      worth +=
        row.payment *
        (end < date ? atOnce(before, rate, passed, days) : grown(after, rate, days - passed, days));
    }
    left = left.filter(each => each.date > date);
    before = after;
    if (left.length === 0) return halfUp(worth);
  }
  // A balloon one period after the last payment.
  const last = periodsOf(plan).at(-1)?.date ?? plan.signed;
  for (const row of left) worth += row.payment * atOnce(before, balloonRate(plan, last, row.date), 1n, 1n);
  return halfUp(worth);
}

const atOnce = (worth: bigint, rate: bigint, passed: bigint, days: bigint) =>
  (worth * SCALE) / (SCALE + (rate * passed) / days);
const grown = (worth: bigint, rate: bigint, stillToCome: bigint, days: bigint) =>
  (worth * (SCALE + (rate * stillToCome) / days)) / SCALE;

const sum = (amounts: readonly bigint[]) => amounts.reduce((all, each) => all + each, 0n);

test(`${RUNS} random loans: both reserves, and what of one comes back`, () => {
  let priced = 0;
  const kept = { negative: 0, extra: 0, same: 0 };
  fc.assert(
    fc.property(shaped, parts, fc.double({ min: 0, max: 1, noNaN: true }), (plan, thousandths, at) => {
      const quote = evaluate(dealWith({ price: Number(plan.amount) }, corePlan(plan)));
      const exact = exactPlanTable(plan);
      if (!quote.ok || !exact) return;
      priced += 1;
      const buyRate = partOf(plan.yearlyRate, thousandths, 4);
      const bought = { ...plan, yearlyRate: buyRate };
      const isSame = new Exact(buyRate).eq(plan.yearlyRate);
      const worth = isSame ? plan.amount : exactWorth(bought, exact.rows);
      const byWorth = Number(worth - plan.amount);
      expect(reserveIn(quote.value, "presentValue", buyRate)).toBe(byWorth);
      if (byWorth < 0) kept.negative += 1;
      if (plan.once.length > 0) kept.extra += 1;
      if (isSame) kept.same += 1;
      const table = exactPlanTable(bought);
      const interest = sum(exact.rows.map(row => row.interest));
      const atBuyRate = table && sum(table.rows.map(row => row.interest));
      const byInterest = isSame
        ? 0
        : atBuyRate === undefined
          ? expect.any(String)
          : Number(interest - atBuyRate);
      expect(reserveIn(quote.value, "interestShare", buyRate)).toEqual(byInterest);

      // What comes back after a payment, by time and by the interest still to come.
      const after = Math.floor(at * quote.value.payments);
      const backBy = (then: "byTime" | "byInterest") => {
        const reserve: ReserveTerms = { method: "presentValue", chargeback: { then } };
        const side = { ...NO_SIDE, buyRate, reserve };
        const back = chargebackAfter(quote.value, side, income(quote.value, side), after);
        return back.ok ? back.value.reserve : back.failure.sentence;
      };
      const n = quote.value.payments;
      const left = quote.value.schedule
        .filter(row => row.number > after || row.kind === "balloon")
        .reduce((all, row) => all + row.interest, 0);
      const back = (part: number, whole: number) =>
        byWorth <= 0 || after === n || whole <= 0
          ? 0
          : new Exact(byWorth)
              .mul(Math.max(part, 0))
              .div(whole)
              .toDecimalPlaces(0, Decimal.ROUND_HALF_UP)
              .toNumber();
      expect([backBy("byTime"), backBy("byInterest")]).toEqual([
        back(n - after, n),
        back(left, Number(interest)),
      ]);
    }),
    { numRuns: RUNS },
  );
  expect(priced).toBeGreaterThan(RUNS * 0.8);
  expect(Object.entries(kept).filter(([, times]) => times < RUNS / 100)).toEqual([]);
});

/** What a lease's payments and residual are worth at a rate of a period, half up. */
function worthOfLease(file: LeaseFile, payment: number, rate: Decimal): number {
  const { plan } = file;
  const n = plan.payments ?? 0;
  const first = plan.inAdvance ?? 0;
  const later = n - first;
  const residualAt = { lastPayment: later, onePeriodAfter: later + 1, end: n }[plan.residualDue ?? "end"];
  const v = new Exact(1).div(rate.plus(1));
  let worth = new Exact(payment).mul(first === n ? 1 : first);
  for (let period = 1; period <= later; period++) worth = worth.plus(v.pow(period).mul(payment));
  return worth
    .plus(v.pow(residualAt).mul(exactResidual(file)))
    .toDecimalPlaces(0, Decimal.ROUND_HALF_UP)
    .toNumber();
}

const PER_YEAR: Record<string, number> = {
  ...{ everyTwoWeeks: 26, twiceAMonth: 24, monthly: 12, quarterly: 4, yearly: 1 },
};

/** The rate of a period that a lease is discounted at when it is bought; undefined where there is none. */
function exactBuyRate(bought: LeaseFile, cost: number, atBuyRate: number): Decimal | undefined {
  const { plan } = bought;
  const rate =
    plan.reckoning === "levelYield"
      ? new Exact(plan.yearlyRate ?? 0).div(100).div(PER_YEAR[plan.frequency] ?? 12)
      : atBuyRate < 0
        ? undefined
        : exactRate(bought, cost, atBuyRate);
  return rate?.lt(-0.5) ? undefined : rate;
}

test(`${RUNS} random leases: by money factor and by level yield`, () => {
  const earned = { moneyFactor: 0, levelYield: 0 };
  fc.assert(
    fc.property(leases, parts, (file, thousandths) => {
      const quote = evaluateLease(leaseOf(file));
      if (!quote.ok) return;
      const { cost, basePayment } = quote.value;
      const { reckoning, inAdvance, payments = 0 } = file.plan;
      const figure = reckoning === "moneyFactor" ? "moneyFactor" : "yearlyRate";
      const contract = String(file.plan[figure] ?? "0");
      const buyRate = partOf(contract, thousandths, 8);
      const bought = { ...file, plan: { ...file.plan, [figure]: buyRate } } as LeaseFile;
      const atBuyRate = exactBasePayment(bought, cost);
      const rate = exactBuyRate(bought, cost, atBuyRate);
      if (rate === undefined) return;
      const reserves = [
        reserveIn(quote.value, "presentValue", buyRate),
        reserveIn(quote.value, "interestShare", buyRate),
      ];
      if (new Exact(buyRate).eq(contract)) {
        expect(reserves).toEqual([0, 0]);
        return;
      }
      earned[reckoning] += 1;
      const rows = inAdvance === payments ? 1 : payments;
      expect(reserves).toEqual([
        worthOfLease(file, basePayment, rate) - cost,
        atBuyRate < 0 ? expect.any(String) : rows * (basePayment - atBuyRate),
      ]);
    }),
    { numRuns: RUNS },
  );
  expect(Math.min(earned.moneyFactor, earned.levelYield)).toBeGreaterThan(RUNS / 10);
});

test(`${runs(25)} random flat-rate loans are bought at a flat rate`, () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 10_000, max: 10_000_000 }),
      fc.integer({ min: 2, max: 84 }),
      fc.integer({ min: 1, max: 2000 }),
      fc.integer({ min: 0, max: 1000 }),
      (price, payments, hundredths, thousandths) => {
        const yearlyRate = String(hundredths / 100);
        const quote = evaluate(dealWith({ price }, { kind: "flatRate", yearlyRate, payments }));
        if (!quote.ok) throw new Error(quote.failure.sentence);
        const buyRate = partOf(yearlyRate, thousandths, 4);
        if (new Exact(buyRate).eq(yearlyRate)) return;
        const charge = new Exact(price)
          .mul(buyRate)
          .mul(payments)
          .div(1200)
          .toDecimalPlaces(0, Decimal.ROUND_HALF_UP);
        const level = charge.plus(price).div(payments);
        const worthAt = (v: Decimal, paid: (k: number) => Decimal.Value) => {
          let worth = new Exact(0);
          for (let k = payments; k >= 1; k--) worth = worth.plus(paid(k)).mul(v);
          return worth;
        };
        // The discount at which level payments are worth the amount, by halving.
        let [low, high] = [new Exact("0.5"), new Exact(1)];
        for (let step = 0; step < 180; step++) {
          const middle = low.plus(high).div(2);
          if (worthAt(middle, () => level).gt(price)) high = middle;
          else low = middle;
        }
        const paid = quote.value.schedule.map(row => row.payment);
        const worth = worthAt(high, k => paid[k - 1] ?? 0).toDecimalPlaces(0, Decimal.ROUND_HALF_UP);
        expect(reserveIn(quote.value, "presentValue", buyRate)).toBe(worth.minus(price).toNumber());
        const interest = paid.reduce((all, each) => all + each, 0) - price;
        expect(reserveIn(quote.value, "interestShare", buyRate)).toBe(interest - charge.toNumber());
      },
    ),
    { numRuns: runs(25) },
  );
});

test(`${runs(25)} times the rate that earns so much is the least of its steps`, () => {
  let found = 0;
  fc.assert(
    fc.property(
      fc.integer({ min: 50_000, max: 5_000_000 }),
      fc.integer({ min: 2, max: 60 }),
      fc.constantFrom(1, 100),
      fc.constantFrom("presentValue", "interestShare"),
      fc.integer({ min: 1, max: 60_000 }),
      (price, payments, roundingStep, method, amount) => {
        const deal = dealWith({ price }, { yearlyRate: "6", payments, roundingStep });
        const side = { ...NO_SIDE, cost: price, buyRate: "3.1", reserve: { method } as ReserveTerms };
        const quote = evaluate(deal);
        if (!quote.ok) return;
        const reserveAt = (yearlyRate: string) => {
          const at = evaluate({ ...deal, plan: { ...deal.plan, yearlyRate } });
          return at.ok ? (income(at.value, side).reserve?.amount ?? 0) : Number.NEGATIVE_INFINITY;
        };
        const wanted = { of: "reserve", amount, find: "rate", rateStep: "0.05" } as const;
        const answer = incomeThatEarns(quote.value, side, wanted);
        const steps = Array.from({ length: 600 }, (_, step) => (step / 20).toFixed(2));
        const least = steps.find(rate => reserveAt(rate) >= amount);
        if (least === undefined) return;
        found += 1;
        expect([answer.ok && Number(answer.value.figure)]).toEqual([Number(least)]);
      },
    ),
    { numRuns: runs(25) },
  );
  expect(found).toBeGreaterThan(runs(25) / 3);
});
