import fc from "fast-check";
import { convertRate, FREQUENCIES, type RateKind } from "@/core";
import { levelRate } from "@/core/annuity";

function converted(figure: number, from: RateKind, to: RateKind): number {
  const result = convertRate(figure, from, to);
  if (!result.ok) throw new Error(result.failure.sentence);
  return result.value;
}

const MONTHLY: RateKind = { kind: "nominal", compounding: "monthly" };
const EFFECTIVE: RateKind = { kind: "effective" };

// Worked to 60 digits outside this project.
test.each<[number, RateKind, RateKind, number]>([
  [12, MONTHLY, EFFECTIVE, 12.682503013197],
  [5, EFFECTIVE, { kind: "continuous" }, 4.8790164169432],
  [8, EFFECTIVE, { kind: "nominal", compounding: "quarterly" }, 7.770618763309404],
  [6, EFFECTIVE, { kind: "periodic", frequency: "weekly" }, 0.112118398282134],
  [6, { kind: "continuous" }, { kind: "periodic", frequency: "monthly" }, 0.501252085940106],
  [0.00125, { kind: "moneyFactor" }, MONTHLY, 3],
  [6, MONTHLY, { kind: "moneyFactor" }, 0.0025],
  [5, { kind: "flat", frequency: "monthly", payments: 36 }, MONTHLY, 9.31050885991934],
  [6, { kind: "flat", frequency: "monthly", payments: 48 }, MONTHLY, 10.9748965956722],
])("%d as %j is %j: %d", (figure, from, to, expected) => {
  expect(converted(figure, from, to)).toBeCloseTo(expected, 11);
});

const kinds = fc.oneof(
  fc.constantFrom<RateKind>(MONTHLY, EFFECTIVE, { kind: "continuous" }, { kind: "moneyFactor" }),
  fc
    .constantFrom("daily" as const, "weekly" as const, "quarterly" as const, "halfYearly" as const)
    .map((compounding): RateKind => ({ kind: "nominal", compounding })),
  fc.constantFrom(...FREQUENCIES).map((frequency): RateKind => ({ kind: "periodic", frequency })),
  fc
    .record({ frequency: fc.constantFrom(...FREQUENCIES), payments: fc.integer({ min: 1, max: 360 }) })
    .map((flat): RateKind => ({ kind: "flat", ...flat })),
);

test("there and back gives the same rate, from each way of stating it to each other", () => {
  fc.assert(
    fc.property(kinds, kinds, fc.double({ min: 0.01, max: 60, noNaN: true }), (from, to, percent) => {
      const effective = converted(percent, EFFECTIVE, from);
      const there = converted(effective, from, to);
      expect(converted(there, to, from) / effective).toBeCloseTo(1, 9);
      expect(converted(there, to, EFFECTIVE) / percent).toBeCloseTo(1, 9);
    }),
    { numRuns: 3000 },
  );
});

test("what cannot be is refused with a sentence", () => {
  const sentence = (figure: number, from: RateKind) => {
    const result = convertRate(figure, from, EFFECTIVE);
    return result.ok ? "" : result.failure.sentence;
  };
  expect(sentence(-100, EFFECTIVE)).toContain("takes all that was lent");
  expect(sentence(5, { kind: "flat", frequency: "monthly", payments: 0 })).toContain("from 1 to 1,200");
});

test("a rate is found for every solvable loan, from 0.0001 % to 400 %, one payment to 1,200, below zero too", () => {
  const rates = fc
    .double({ min: Math.log(0.000_001 / 12), max: Math.log(4 / 12), noNaN: true })
    .map(Math.exp);
  const signs = fc.constantFrom(1, 1, 1, -0.02);
  const counts = fc.constantFrom(1, 2, 12, 72, 360, 1200);
  const balloons = fc.constantFrom(0, 0, 0.4, 1, 3);
  fc.assert(
    fc.property(rates, signs, counts, balloons, (size, sign, count, last) => {
      const rate = size * sign;
      const discount = (1 + rate) ** -count;
      const annuity = -Math.expm1(-count * Math.log1p(rate)) / rate;
      const payment = (1 - last * discount) / annuity;
      if (payment < 0) return;
      const solved = levelRate({ lent: 1, payment, count, last, lastAfter: count }) ?? Number.NaN;
      // The payments at the solved rate are worth what was lent.
      const again = -Math.expm1(-count * Math.log1p(solved)) / solved;
      const worth = payment * (Math.abs(solved) < 1e-12 ? count : again) + last * (1 + solved) ** -count;
      expect(Math.abs(worth - 1)).toBeLessThan(1e-9);
    }),
    { numRuns: 5000 },
  );
});
