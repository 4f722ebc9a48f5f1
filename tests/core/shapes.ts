// Random deals of every shape, for tests of what holds in all of them.
import fc from "fast-check";
import { FREQUENCIES, type LoanDeal, type LoanPlan, monthsAfter } from "@/core";
import { date, dealWith } from "./deals";

const SIGNED = date("2027-01-15");

/** The date some months after signing. */
const later = (months: number) => monthsAfter({ year: 2027, month: 1, day: 15 }, months);

type Drawn = {
  amount: number;
  payments: number;
  part: number;
  share: number;
  change: number;
};

/** What makes a plan one of a shape; shares of its amount, and parts of its term. */
const SHAPES: Record<string, (drawn: Drawn) => Partial<LoanPlan>> = {
  level: () => ({}),
  advance: () => ({ timing: "advance" }),
  balloon: ({ amount, share }) => ({ balloon: { amount: Math.floor(amount * share) } }),
  percentBalloon: ({ share }) => ({ balloon: { percent: (share * 60).toFixed(2) } }),
  advanceBalloon: ({ amount, share }) => ({
    timing: "advance",
    balloon: { amount: Math.floor(amount * share) },
  }),
  interestOnly: ({ payments, part }) => ({ interestOnly: Math.max(1, Math.floor((payments - 1) * part)) }),
  deferred: ({ payments, part }) => ({
    deferred: { payments: Math.max(1, Math.floor((payments - 1) * part)), interest: "accrues" },
  }),
  steps: ({ payments, part, change }) => ({
    steps: [{ from: Math.max(2, Math.floor(payments * part)), percent: String(change) }],
  }),
  agreedStep: ({ amount, payments, part, share, change }) => ({
    steps: [
      { from: Math.max(2, Math.floor(payments * part)), amount: Math.floor((amount * share) / payments) },
      ...(Math.floor(payments * part) + 2 <= payments
        ? [{ from: Math.max(2, Math.floor(payments * part)) + 2, percent: String(change) }]
        : []),
    ],
  }),
  skipped: ({ change }) => ({ skippedMonths: [7, 1 + ((change + 50) % 12)], signed: SIGNED }),
  equalPrincipal: () => ({ kind: "equalPrincipal" }),
  flatRate: () => ({ kind: "flatRate" }),
  each: ({ amount, share }) => ({ extra: { each: { amount: 1 + Math.floor(amount * share * 0.05) } } }),
  eachAndBalloon: ({ amount, share }) => ({
    balloon: { amount: Math.floor(amount * share) },
    extra: { each: { amount: 1 + Math.floor(amount * (1 - share) * 0.01) } },
  }),
  once: ({ amount, payments, part, share }) => ({
    signed: SIGNED,
    frequency: "monthly",
    extra: {
      once: [{ date: later(Math.floor(payments * part)) + 7, amount: Math.floor(amount * share * 0.5) }],
    },
  }),
  yearly: ({ amount, share }) => ({
    signed: SIGNED,
    extra: { yearly: { from: later(5), amount: 1 + Math.floor(amount * share) } },
  }),
};

export const SHAPE_NAMES = Object.keys(SHAPES);

/** Random deals of a shape, as they are asked for their payment. */
export function dealsOf(shape: string): fc.Arbitrary<LoanDeal> {
  return fc
    .record({
      price: fc.integer({ min: 200_000, max: 6_000_000 }),
      down: fc.integer({ min: 0, max: 50_000 }),
      owed: fc.constantFrom(0, 0, 120_000),
      yearlyRate: fc.integer({ min: 50, max: 25_000 }).map(n => String(n / 1000)),
      payments: fc.integer({ min: 4, max: 72 }),
      frequency: fc.constantFrom(...FREQUENCIES),
      rounding: fc.constantFrom("nearest" as const, "nearest" as const, "up" as const, "down" as const),
      roundingStep: fc.constantFrom(1, 1, 1, 5, 100),
      part: fc.double({ min: 0.1, max: 0.9, noNaN: true }),
      share: fc.double({ min: 0.05, max: 0.9, noNaN: true }),
      change: fc.integer({ min: -40, max: 40 }),
    })
    .map(({ price, down, owed, yearlyRate, payments, frequency, rounding, roundingStep, ...drawn }) =>
      dealWith(
        { price, down: { amount: down }, tradeIns: [{ allowance: 0, owed }] },
        {
          yearlyRate,
          payments,
          frequency,
          rounding,
          roundingStep,
          ...SHAPES[shape]?.({ ...drawn, amount: price - down + owed, payments }),
        },
      ),
    );
}
