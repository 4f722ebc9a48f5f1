import type { PeriodRate } from "../interest";
import type { Arithmetic } from "./arithmetic";
import type { Run } from "./run";

/** What a plan's payments are worth when the money is lent. */
export type Worth<Value> = {
  /** Of level payments of 1. */
  level: Value;
  /** Of the agreed amounts, in minor units. */
  amounts: Value;
  /** Of 1 due at the end of the term. */
  atEnd: Value;
};

/**
 * What payments are worth at the start: the payments discounted by every period before them.
 *
 * Each run of like payments is valued in one step by the annuity formula. While only interest is paid, what is
 * owed does not change, so those periods discount nothing.
 *
 * @param runs the payments in order
 * @param balloonRate a last period between the last payment and the end of the term, or null
 * @param arithmetic floats or 4,096 places
 * @example worthOf(runs, null, FLOAT).level // what 1 a month is worth
 */
export function worthOf<Value>(
  runs: readonly Run[],
  balloonRate: PeriodRate | null,
  arithmetic: Arithmetic<Value>,
): Worth<Value> {
  const { plus, times } = arithmetic;
  let level = arithmetic.zero;
  let amounts = arithmetic.zero;
  let atEnd = arithmetic.one;
  for (const { pay, rate, count } of runs) {
    if (pay.kind === "interest") continue;
    if (pay.kind !== "none") {
      const worth = times(atEnd, arithmetic.annuity(rate, count));
      if (pay.kind === "amount") amounts = plus(amounts, times(arithmetic.whole(pay.amount), worth));
      else level = plus(level, times(arithmetic.weight(pay.weight), worth));
    }
    atEnd = times(atEnd, arithmetic.discount(rate, count));
  }
  if (balloonRate) atEnd = times(atEnd, arithmetic.discount(balloonRate, 1));
  return { level, amounts, atEnd };
}
