import { FLOAT, PRECISE } from "../../../annuity";
import type { Decimal, PeriodRate } from "../../../interest";
import { roundFraction, roundWhenSure } from "../../../money";
import { over } from "../../../precise";
import type { LeaseTerms } from "./terms";

/**
 * The payment of a lease before tax, rounded once by the plan's rule as if computed exactly.
 *
 * By money factor: depreciation ÷ n + (cost + residual) × factor × 12 ÷ payments a year. By level yield: what an annuity
 * down to the residual pays, `(cost − residual × v^t) ÷ (payments at signing + (1 − v^m) ÷ i)`. All at once: the sum
 * of all n, or the cost less the worth of the residual.
 *
 * @param terms the plan
 * @param cost adjusted capitalized cost in minor units
 * @param residual minor units
 * @returns minor units; undefined where the payment would be below zero
 * @example basePayment(moneyFactorTerms, 4000000, 1824000) // 73548
 */
export function basePayment(terms: LeaseTerms, cost: number, residual: number): number | undefined {
  return "factor" in terms.by
    ? byMoneyFactor(terms, terms.by.factor, cost, residual)
    : byLevelYield(terms, terms.by.rate, cost, residual);
}

const MONTHS = 12;

function byMoneyFactor(
  { payments, isAtOnce, perYear, rounding }: LeaseTerms,
  { digits, scale }: Decimal,
  cost: number,
  residual: number,
): number | undefined {
  const [n, factorScale] = [BigInt(payments), BigInt(scale) * BigInt(perYear)];
  const numerator =
    BigInt(cost - residual) * factorScale + BigInt(cost + residual) * BigInt(digits) * BigInt(MONTHS) * n;
  if (numerator < 0n) return undefined;
  const { rule, step } = rounding;
  const denominator = factorScale * (isAtOnce ? 1n : n) * BigInt(step);
  return roundFraction({ numerator, denominator }, rule) * step;
}

// The worth of 1,200 payments is right to a relative 1e-12.
const RELATIVE_ERROR = 4e-12;

function byLevelYield(
  terms: LeaseTerms,
  rate: PeriodRate,
  cost: number,
  residual: number,
): number | undefined {
  const { atSigning, later, isAtOnce, residualAt, rounding } = terms;
  const { rule, step } = rounding;
  const atEnd = FLOAT.discount(rate, residualAt);
  const worth = isAtOnce ? 1 : atSigning + FLOAT.annuity(rate, later);
  const unrounded = unroundedBase(terms, cost, residual);
  if (unrounded < 0) return undefined;
  const error = (RELATIVE_ERROR * (cost + residual * atEnd)) / worth / step;
  const steps = roundWhenSure(unrounded / step, error, rule, () => {
    const left = PRECISE.whole(cost) - BigInt(residual) * PRECISE.discount(rate, residualAt);
    const precise = isAtOnce ? PRECISE.one : PRECISE.whole(atSigning) + PRECISE.annuity(rate, later);
    return over(left, precise) / BigInt(step);
  });
  return steps * step;
}

/**
 * The payment of a lease before tax and before it is rounded, as a float; below zero where a residual is above what the cost
 * grows to.
 *
 * @example unroundedBase(moneyFactorTerms, 4000000, 1824000) // 73548.444…
 */
export function unroundedBase(terms: LeaseTerms, cost: number, residual: number): number {
  const { by, payments, isAtOnce, perYear, atSigning, later, residualAt } = terms;
  if ("rate" in by) {
    const worth = isAtOnce ? 1 : atSigning + FLOAT.annuity(by.rate, later);
    return (cost - residual * FLOAT.discount(by.rate, residualAt)) / worth;
  }
  const { digits, scale } = by.factor;
  const each = (cost - residual) / payments + ((cost + residual) * digits * MONTHS) / (scale * perYear);
  return isAtOnce ? each * payments : each;
}

/**
 * The parts of a payment as they are shown: the depreciation, rounded half up, and the rent, which is the rest.
 *
 * @example paymentParts(moneyFactorTerms, 4000000, 1824000, 73548) // { depreciation: 60444, rent: 13104 }
 */
export function paymentParts(
  { payments, isAtOnce }: LeaseTerms,
  cost: number,
  residual: number,
  base: number,
): { depreciation: number; rent: number } {
  const parts = isAtOnce ? 1 : payments;
  const depreciation = Math.floor((2 * (cost - residual) + parts) / (2 * parts));
  return { depreciation, rent: base - depreciation };
}
