// Random plans of every shape, each compared row by row with whole-number arithmetic.
import fc from "fast-check";
import { evaluate, FREQUENCIES, type Frequency, isoDate, type LoanPlan, periodsPerYear } from "@/core";
import { runs } from "../runs";
import { date, dealWith } from "./deals";
import { plusDays } from "./exact-dates";
import { type ExactPlan, exactPlanTable } from "./exact-plan";

/** In each of two halves, which run beside each other. */
export const RUNS = runs(800);

const isoDates = fc
  .integer({ min: 0, max: 36_000 })
  .map(days => plusDays("2000-01-01", days))
  // Month ends and leap days as often as all other days.
  .chain(iso => fc.constantFrom(iso, `${iso.slice(0, 8)}28`, "2028-02-29", "2027-01-31", "2026-12-30"));

const rate = fc.oneof(
  { weight: 1, arbitrary: fc.constantFrom("0", "0.0001", "400", "12") },
  { weight: 6, arbitrary: fc.integer({ min: 1, max: 300_000 }).map(n => String(n / 10_000)) },
);

const chance = <Value>(value: fc.Arbitrary<Value>, otherwise: Value, weight = 2) =>
  fc.oneof({ weight: 6, arbitrary: fc.constant(otherwise) }, { weight, arbitrary: value });

/** What a plan is made of, for an amount that is drawn or put in its place. */
export const drawnPlans = fc.record({
  amount: fc.oneof(
    fc.integer({ min: 1, max: 100_000 }),
    fc.integer({ min: 100_000, max: 10_000_000 }),
    fc.integer({ min: 10_000_000, max: 1_000_000_000 }),
  ),
  yearlyRate: rate,
  payments: fc.oneof(
    { weight: 9, arbitrary: fc.integer({ min: 1, max: 60 }) },
    { weight: 1, arbitrary: fc.integer({ min: 61, max: 240 }) },
  ),
  frequency: fc.constantFrom(...FREQUENCIES.filter(each => each !== "twiceAMonth")),
  compounding: chance(
    fc.constantFrom("daily", "weekly", "monthly", "quarterly", "halfYearly", "yearly", "continuous"),
    "payments",
  ),
  timing: chance(fc.constant("advance"), "arrears"),
  dayCount: chance(fc.constantFrom("30/360", "actual/365", "actual/360", "actual/actual"), "equal"),
  signed: isoDates,
  oddDays: chance(fc.integer({ min: 1, max: 100 }), 0),
  rounding: fc.constantFrom("nearest", "up", "down"),
  step: fc.constantFrom(1, 1, 5, 100),
  balloon: chance(fc.double({ min: 0, max: 1.1, noNaN: true }), 0),
  shape: fc.constantFrom(
    "level",
    "level",
    "interestOnly",
    "deferred",
    "deferredThenInterest",
    "waived",
    "skipped",
    "steps",
    "amounts",
    "amountThenPercent",
    "principal",
    "principalAfterInterest",
    "principalDeferred",
  ),
  part: fc.double({ min: 0.01, max: 0.9, noNaN: true }),
  change: fc.integer({ min: -5000, max: 5000 }),
  extraEach: chance(fc.integer({ min: 1, max: 10_000 }), 0, 1),
  once: chance(fc.double({ min: 0.05, max: 0.95, noNaN: true }), 0, 1),
});

export const shaped = drawnPlans.map(toPlan);

const DIGITS = 150;

/** What an amount grows to has at most so many digits, so that 200 decimals can tell a payment from its limit. */
function mostPayments(yearlyRate: string, frequency: string): number {
  const digitsEach = (Number(yearlyRate) / 100 / periodsPerYear(frequency as Frequency)) * Math.LOG10E;
  return Math.max(1, Math.floor(DIGITS / digitsEach));
}

/** From drawn parts, a plan that mostly can be. */
export function toPlan(drawn: {
  amount: number;
  yearlyRate: string;
  payments: number;
  frequency: string;
  compounding: string;
  timing: string;
  dayCount: string;
  signed: string;
  oddDays: number;
  rounding: string;
  step: number;
  balloon: number;
  shape: string;
  part: number;
  change: number;
  extraEach: number;
  once: number;
}): ExactPlan {
  const { shape, part, signed, amount } = drawn;
  const payments = Math.min(drawn.payments, mostPayments(drawn.yearlyRate, drawn.frequency));
  const some = Math.min(Math.max(Math.floor(payments * part), 1), payments - 1);
  const is = (name: string) => shape === name && payments > 1;
  const inArrears = drawn.timing === "arrears";
  const isDeferredThenInterest = is("deferredThenInterest") && inArrears && payments - some > 1;
  const lifeDays = Math.floor((payments * 365) / 53);
  return {
    ...(drawn as unknown as ExactPlan),
    payments,
    amount: BigInt(amount),
    step: BigInt(drawn.step),
    balloon: BigInt(Math.floor(drawn.balloon * amount)),
    ...(drawn.oddDays > 0 && inArrears && { firstPayment: plusDays(signed, drawn.oddDays) }),
    equalPrincipal: shape.startsWith("principal"),
    interestOnly: isDeferredThenInterest
      ? payments - some - 1
      : (is("interestOnly") || is("principalAfterInterest")) && inArrears
        ? some
        : 0,
    deferred: isDeferredThenInterest || is("deferred") || is("waived") || is("principalDeferred") ? some : 0,
    waived: is("waived"),
    skippedMonths: is("skipped") ? [1 + ((drawn.change + 5000) % 12), 7] : [],
    steps: stepsOf(drawn, payments, some),
    extraEach: BigInt(drawn.extraEach),
    once:
      drawn.once > 0
        ? [
            {
              date: plusDays(signed, Math.floor(drawn.once * lifeDays)),
              amount: BigInt(Math.ceil(amount * part * 0.3)),
            },
          ]
        : [],
  };
}

/** Steps by amount, by percent, or by percent after an amount. */
function stepsOf(
  { shape, amount, part, change }: { shape: string; amount: number; part: number; change: number },
  payments: number,
  some: number,
): ExactPlan["steps"] {
  if (payments < 2) return [];
  const agreed = { from: some + 1, amount: BigInt(Math.floor((amount / payments) * part)) };
  const later = (from: number, hundredths: bigint) => (payments >= from ? [{ from, hundredths }] : []);
  switch (shape) {
    case "amounts":
      return [agreed];
    case "amountThenPercent":
      return [agreed, ...later(some + 2, BigInt(change))];
    case "steps":
      return [...later(some + 1, BigInt(change)), ...later(some + 4, BigInt(-change))];
    default:
      return [];
  }
}

export function corePlan(plan: ExactPlan): Partial<LoanPlan> {
  const extra = {
    ...(plan.extraEach > 0n && { each: { amount: Number(plan.extraEach) } }),
    ...(plan.once.length > 0 && {
      once: plan.once.map(({ date: on, amount }) => ({ date: date(on), amount: Number(amount) })),
    }),
  };
  return {
    kind: plan.equalPrincipal ? "equalPrincipal" : "loan",
    yearlyRate: plan.yearlyRate,
    payments: plan.payments,
    frequency: plan.frequency,
    compounding: plan.compounding,
    timing: plan.timing,
    dayCount: plan.dayCount,
    signed: date(plan.signed),
    firstPayment: plan.firstPayment ? date(plan.firstPayment) : null,
    rounding: plan.rounding,
    roundingStep: Number(plan.step),
    ...(plan.balloon > 0n && { balloon: { amount: Number(plan.balloon) } }),
    ...(plan.interestOnly > 0 && { interestOnly: plan.interestOnly }),
    ...(plan.deferred > 0 && {
      deferred: {
        payments: plan.deferred,
        interest: plan.waived ? ("waived" as const) : ("accrues" as const),
      },
    }),
    ...(plan.skippedMonths.length > 0 && { skippedMonths: plan.skippedMonths }),
    ...(plan.steps.length > 0 && {
      steps: plan.steps.map(step =>
        "amount" in step
          ? { from: step.from, amount: Number(step.amount) }
          : { from: step.from, percent: (Number(step.hundredths) / 100).toFixed(2) },
      ),
    }),
    ...(Object.keys(extra).length > 0 && { extra }),
  };
}

/**
 * Half of the random plans, so that two processes share them.
 *
 * @param half 0 or 1: each draws plans of its own
 */
export function checkRandomPlans(half: 0 | 1): void {
  const seed = (fc.readConfigureGlobal().seed ?? 0) + half;
  let priced = 0;
  fc.assert(
    fc.property(shaped, plan => {
      const exact = exactPlanTable(plan);
      const quote = evaluate(dealWith({ price: Number(plan.amount) }, corePlan(plan)));
      if (!quote.ok) {
        expect([quote.failure.sentence, exact]).toEqual([expect.any(String), undefined]);
        return;
      }
      priced += 1;
      expect([quote.value.solved, quote.value.payment]).toEqual([
        Number(exact?.solved),
        Number(exact?.payment),
      ]);
      expect(
        quote.value.schedule.map(row => [
          isoDate(row.date ?? 0),
          row.payment,
          row.interest,
          row.principal,
          row.balance,
        ]),
      ).toEqual(
        exact?.rows.map(row => [
          row.date,
          Number(row.payment),
          Number(row.interest),
          Number(row.principal),
          Number(row.balance),
        ]),
      );
    }),
    { numRuns: RUNS, seed },
  );
  expect(priced).toBeGreaterThan(RUNS * 0.8);
}
