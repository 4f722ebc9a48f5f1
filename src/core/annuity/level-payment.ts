import type { PeriodRate } from "../interest";
import { type Fraction, type Rounding, roundWhenSure } from "../money";

/** How a level loan is repaid, apart from the amount. */
export type LevelTerms = {
  /** Rate of one period. */
  rate: PeriodRate;
  /** How many payments, at least 1. */
  payments: number;
  /** Length of the first period in periods, as an exact fraction; 1/1 where it is a regular one. */
  firstPeriod: { numerator: number; denominator: number };
};

/**
 * The level payment for one minor unit of loan, exactly.
 *
 * With period rate i, n payments and a first period of f periods at simple interest:
 * `(1 + i·f) · i · (1 + i)^(n−1) / ((1 + i)^n − 1)`, which is the ordinary annuity formula
 * `i / (1 − (1 + i)^−n)` for f = 1 and `1 / n` for a zero rate.
 *
 * @returns the payment per minor unit as a fraction, not reduced
 * @example exactPaymentPerUnit({ rate: { numerator: 0, denominator: 1 }, payments: 36,
 *   firstPeriod: { numerator: 1, denominator: 1 } }) // 1/36
 */
export function exactPaymentPerUnit({ rate, payments, firstPeriod }: LevelTerms): Fraction {
  const a = BigInt(rate.numerator);
  const b = BigInt(rate.denominator);
  if (a === 0n) return { numerator: 1n, denominator: BigInt(payments) };
  const firstNumerator = BigInt(firstPeriod.numerator);
  const firstDenominator = BigInt(firstPeriod.denominator);
  const growthBefore = (a + b) ** BigInt(payments - 1);
  return {
    numerator: (b * firstDenominator + a * firstNumerator) * a * growthBefore,
    denominator: b * firstDenominator * (growthBefore * (a + b) - b ** BigInt(payments)),
  };
}

/** The same as {@link exactPaymentPerUnit} in floating point, right to a relative 1e-13. */
export function paymentPerUnit({ rate, payments, firstPeriod }: LevelTerms): number {
  const i = rate.numerator / rate.denominator;
  if (i === 0) return 1 / payments;
  const first = firstPeriod.numerator / firstPeriod.denominator;
  const regular = i / -Math.expm1(-payments * Math.log1p(i));
  return first === 1 ? regular : (regular * (1 + i * first)) / (1 + i);
}

/**
 * Makes the function from an amount to its level payment, rounded by the plan's rule as if computed exactly.
 *
 * @param terms rate, number of payments, first period
 * @param rounding nearest (ties up), up or down, to the minor unit
 * @returns amount in minor units to payment in minor units
 * @example levelPaymentFor({ rate: periodRate({ digits: 649, scale: 100 }, 12), payments: 72,
 *   firstPeriod: { numerator: 1, denominator: 1 } }, "nearest")(3842500) // 64574
 */
export function levelPaymentFor(terms: LevelTerms, rounding: Rounding): (amount: number) => number {
  const factor = paymentPerUnit(terms);
  let exactFactor: Fraction | undefined;
  return amount =>
    roundWhenSure(amount * factor, rounding, () => {
      exactFactor ??= exactPaymentPerUnit(terms);
      return { numerator: exactFactor.numerator * BigInt(amount), denominator: exactFactor.denominator };
    });
}
