import { type PeriodRate, remembered } from "../../../interest";
import { type Fixed, fixedFloat, ONE, over, times } from "../../../precise";
import { rateOfStream, type Stretch } from "../../../yield";
import type { LeaseTerms } from "./terms";

/**
 * The rate of a period at which a lease's payments and its residual, at their dates, are worth its cost.
 *
 * @param terms the plan
 * @param cost adjusted capitalized cost in minor units
 * @param base a payment before tax, in minor units
 * @param residual minor units
 * @returns the rate; undefined where what is paid at signing leaves nothing that could bear one
 * @example implicitRate(moneyFactorTerms, 4000000, 73548, 1824000)?.value // 0.0045214…
 */
export function implicitRate(
  terms: LeaseTerms,
  cost: number,
  base: number,
  residual: number,
): PeriodRate | undefined {
  const { isAtOnce, atSigning, later, residualAt } = terms;
  const advance = cost - base * (isAtOnce ? 1 : atSigning);
  if (advance <= 0 || (later === 0 && residual === 0)) return undefined;
  const payments = stretchesOf(later, base, residualAt, residual);
  const rate = rateOfStream({ advance, payments, firstPeriods: 1, firstPart: 0 }, "simple", guessOf(terms));
  if (rate === undefined) return undefined;
  return remembered(rate, () => preciseRate(rate, advance, base, later, residual, residualAt));
}

/** Whether there is such a rate; it is looked for only where what is paid later is not clearly more. */
export function bearsRent(terms: LeaseTerms, cost: number, base: number, residual: number): boolean {
  const { isAtOnce, atSigning, later } = terms;
  const advance = cost - base * (isAtOnce ? 1 : atSigning);
  if (advance <= 0 || (later === 0 && residual === 0)) return false;
  return later * base + residual >= advance || implicitRate(terms, cost, base, residual) !== undefined;
}

/** The rate that the lease is reckoned by is near, but for what is paid in advance. */
function guessOf({ by, perYear }: LeaseTerms): number {
  return "rate" in by ? by.rate.value : (PER_FACTOR * by.factor.digits) / by.factor.scale / perYear;
}

/** A factor of a month is half of its rate: on average half of what is lost is still to be paid for. */
const PER_FACTOR = 24;

/** The payments after signing, with the residual at its place. */
function stretchesOf(later: number, base: number, residualAt: number, residual: number): Stretch[] {
  const withLast = residualAt === later;
  const level = later - (withLast ? 1 : 0);
  const empty = residualAt - later - 1;
  return [
    ...(level > 0 ? [{ amount: base, count: level }] : []),
    ...(empty > 0 ? [{ amount: 0, count: empty }] : []),
    { amount: withLast ? base + residual : residual, count: 1 },
  ];
}

const MOST_STEPS = 12;

/** The same to 4,096 places, by Newton's steps in the discount of one period. */
function preciseRate(
  near: number,
  advance: number,
  base: number,
  later: number,
  residual: number,
  residualAt: number,
): Fixed {
  let discount = over(ONE, ONE + fixedFloat(near));
  for (let step = 0; step < MOST_STEPS; step++) {
    let [value, slope]: [Fixed, Fixed] = [0n, 0n];
    for (let period = residualAt; period >= 1; period--) {
      const amount = (period <= later ? base : 0) + (period === residualAt ? residual : 0);
      slope = times(slope, discount) + value;
      value = times(value, discount) + BigInt(amount) * ONE;
    }
    // Both were of the payments one period earlier than they fall.
    slope = times(slope, discount) + value;
    value = times(value, discount) - BigInt(advance) * ONE;
    const change = over(value, slope);
    discount -= change;
    if (change === 0n) break;
  }
  return over(ONE, discount) - ONE;
}
