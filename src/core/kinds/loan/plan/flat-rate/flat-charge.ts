import { levelRate } from "../../../../annuity";
import { periodsPerYear } from "../../../../calendar";
import { type PeriodRate, remembered } from "../../../../interest";
import { roundFraction } from "../../../../money";
import { type Fixed, fixedFloat, fixedRatio, ONE, over, power, times } from "../../../../precise";
import type { Calendar } from "../draft";

/**
 * The finance charge of a flat-rate loan: the yearly rate on the original amount for the whole term, rounded
 * half up to the minor unit.
 *
 * @param amount minor units
 * @example
 * // 10,000.00 at 5 % flat over 36 months
 * flatCharge(1_000_000, { yearlyRate: { digits: 5, scale: 1 }, payments: 36, frequency: "monthly" }) // 150000
 */
export function flatCharge(amount: number, { yearlyRate, payments, frequency }: Calendar): number {
  const numerator = BigInt(amount) * BigInt(yearlyRate.digits) * BigInt(payments);
  const denominator = 100n * BigInt(yearlyRate.scale) * BigInt(periodsPerYear(frequency));
  return roundFraction({ numerator, denominator }, "nearest");
}

/** The part of a finance charge that the sum of the digits has earned after some of the payments. */
export function earnedBySumOfDigits(charge: number, payments: number, after: number): number {
  const all = BigInt(payments) * BigInt(payments + 1);
  const left = BigInt(payments - after) * BigInt(payments - after + 1);
  return roundFraction({ numerator: BigInt(charge) * (all - left), denominator: all }, "nearest");
}

/**
 * The true rate of one period of a flat-rate loan: the one at which its unrounded level payments are worth
 * the amount.
 *
 * @param amount minor units
 * @param charge finance charge in minor units
 * @param payments how many
 */
export function flatTrueRate(amount: number, charge: number, payments: number): PeriodRate {
  const payment = (amount + charge) / payments;
  const value = levelRate({ lent: amount, payment, count: payments, last: 0, lastAfter: payments }) ?? 0;
  return remembered(value, () => sharpened(value, amount, charge, payments));
}

/** Newton's steps in 4,096 places on `i·n = (1 + c)(1 − (1 + i)^−n)`, with c the charge per unit lent. */
function sharpened(value: number, amount: number, charge: number, payments: number): Fixed {
  if (charge === 0) return 0n;
  const count = BigInt(payments);
  const paid = fixedRatio(BigInt(amount + charge), BigInt(amount));
  let i = fixedFloat(value);
  for (let step = 0; step < 7; step++) {
    const discount = over(ONE, power(ONE + i, payments));
    const off = i * count - times(paid, ONE - discount);
    const slope = count * ONE - times(paid, over(discount, ONE + i) * count);
    if (slope === 0n) return i;
    i -= over(off, slope);
  }
  return i;
}
