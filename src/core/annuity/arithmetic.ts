import type { PeriodRate } from "../interest";
import { type Fixed, fixedRatio, ONE, over, power, times } from "../precise";
import type { Pay, Weight } from "./run";

/** What the worth of payments is computed with: floats first, 4,096 places where they cannot decide. */
export type Arithmetic<Value> = {
  zero: Value;
  one: Value;
  whole: (count: number) => Value;
  weight: (weight: Weight) => Value;
  plus: (a: Value, b: Value) => Value;
  times: (a: Value, b: Value) => Value;
  over: (a: Value, b: Value) => Value;
  /** Worth of 1 due after some periods: `(1 + i)^−n`. */
  discount: (rate: PeriodRate, count: number) => Value;
  /** Worth of 1 at the end of each of some periods: `(1 − (1 + i)^−n) ÷ i`. */
  annuity: (rate: PeriodRate, count: number) => Value;
};

export const FLOAT: Arithmetic<number> = {
  zero: 0,
  one: 1,
  whole: count => count,
  weight: ({ value }) => value,
  plus: (a, b) => a + b,
  times: (a, b) => a * b,
  over: (a, b) => a / b,
  discount: ({ value }, count) => (count === 1 ? 1 / (1 + value) : Math.exp(-count * Math.log1p(value))),
  annuity: ({ value }, count) => {
    if (value === 0) return count;
    return count === 1 ? 1 / (1 + value) : -Math.expm1(-count * Math.log1p(value)) / value;
  },
};

export const PRECISE: Arithmetic<Fixed> = {
  zero: 0n,
  one: ONE,
  whole: count => BigInt(count) * ONE,
  weight: ({ precise }) => precise(),
  plus: (a, b) => a + b,
  times,
  over,
  discount: (rate, count) => power(over(ONE, ONE + rate.precise()), count),
  annuity: (rate, count) => {
    const i = rate.precise();
    if (i === 0n) return BigInt(count) * ONE;
    return over(ONE - power(over(ONE, ONE + i), count), i);
  },
};

/** A longer whole number is none that a float can be: the last places of both are left out, which a quotient does not feel. */
const FLOAT_BITS = 1000;

/** A ratio of whole numbers of any length as a float. */
function ratioOf(numerator: bigint, denominator: bigint): number {
  const bits = Math.max(numerator.toString(16).length, denominator.toString(16).length) * 4;
  const beyond = BigInt(Math.max(0, bits - FLOAT_BITS));
  return Number(numerator >> beyond) / Number(denominator >> beyond);
}

/** A ratio of whole numbers as a level payment's multiple. */
export function rationalWeight(numerator: bigint, denominator: bigint): Weight {
  return {
    value: ratioOf(numerator, denominator),
    precise: () => fixedRatio(numerator, denominator),
  };
}

/** The level payment itself. */
export const LEVEL_PAY: Pay = { kind: "level", weight: rationalWeight(1n, 1n), raises: [] };
