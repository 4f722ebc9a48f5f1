import type { PeriodRate } from "../interest";
import type { Arithmetic } from "./arithmetic";
import { byPay, type Run } from "./run";

/** What a plan's payments are worth when the money is lent. */
export type Worth<Value> = {
  /** Of payments of 1 on the dates that a loan is solved for. */
  solved: Value;
  /** Of the agreed amounts, in minor units. */
  amounts: Value;
  /** Of 1 due at the end of the term. */
  atEnd: Value;
};

/**
 * What payments are worth at the start: the payments discounted by every period before them.
 *
 * Each run of like payments is valued in one step by the annuity formula. While only interest is paid, what is
 * owed does not change, so those periods discount nothing; where interest is paid besides a part of the principal,
 * those parts are worth what they are.
 *
 * @param runs the payments in order
 * @param balloonRate a last period between the last payment and the end of the term, or null
 * @param arithmetic floats or 4,096 places
 * @example worthOf(twelveMonthsAtHalfAPercent, null, FLOAT).solved // 11.618932…
 */
export function worthOf<Value>(
  runs: readonly Run[],
  balloonRate: PeriodRate | null,
  arithmetic: Arithmetic<Value>,
): Worth<Value> {
  const { plus, times } = arithmetic;
  let solved = arithmetic.zero;
  let amounts = arithmetic.zero;
  let atEnd = arithmetic.one;
  for (const { pay, rate, count } of runs) {
    const annuity = () => times(atEnd, arithmetic.annuity(rate, count));
    const pass = () => {
      atEnd = times(atEnd, arithmetic.discount(rate, count));
    };
    byPay(pay, {
      level: ({ weight }) => {
        solved = plus(solved, times(arithmetic.weight(weight), annuity()));
        pass();
      },
      principal: () => {
        solved = plus(solved, times(arithmetic.whole(count), atEnd));
      },
      amount: ({ amount }) => {
        amounts = plus(amounts, times(arithmetic.whole(amount), annuity()));
        pass();
      },
      interest: () => {},
      none: pass,
    });
  }
  if (balloonRate) atEnd = times(atEnd, arithmetic.discount(balloonRate, 1));
  return { solved, amounts, atEnd };
}
