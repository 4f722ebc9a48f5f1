import { FLOAT, LEVEL_PAY, PRECISE, type Run, type Worth, worthOf } from "../annuity";
import { NO_RATE, type PeriodRate } from "../interest";
import { roundWhenSure } from "../money";
import { type Fixed, over } from "../precise";
import type { Money } from "./time-value";

/** What payments of 1 and an end of 1 are worth now: by floats, and to 4,096 places where a tie is near. */
type TermWorth = { float: Worth<number>; precise: () => Worth<Fixed> };

/** Above zero where money comes to the customer. */
export function signed({ amount, direction }: Money): number {
  return direction === "received" ? amount : -amount;
}

/** Money from a number of minor units with its sign. */
export function moneyOf(minor: number): Money {
  return { amount: Math.abs(minor), direction: minor > 0 ? "received" : "paid" };
}

/** The worth of so many payments at a rate. In advance the first is made at once, and the end is one period on. */
export function termWorth(payments: number, rate: PeriodRate, inAdvance: boolean): TermWorth {
  const runs: Run[] = inAdvance
    ? [
        { count: 1, rate: NO_RATE, pay: LEVEL_PAY },
        { count: payments - 1, rate, pay: LEVEL_PAY },
      ].filter(({ count }) => count > 0)
    : [{ count: payments, rate, pay: LEVEL_PAY }].filter(({ count }) => count > 0);
  const afterLast = inAdvance && payments > 0 ? rate : null;
  let known: Worth<Fixed> | undefined;
  return {
    float: worthOf(runs, afterLast, FLOAT),
    precise: () => {
      known ??= worthOf(runs, afterLast, PRECISE);
      return known;
    },
  };
}

const RELATIVE_ERROR = 1e-12;

/**
 * `−(a × b + c × d + …) ÷ e`, rounded half up in size to the minor unit as if computed exactly: the form that each of the
 * three amounts has.
 *
 * @param whole a, c, …: minor units with their signs
 * @param worth b, d, … and e: what they are worth, by floats and to 4,096 places
 */
export function roundedBalance(
  whole: readonly number[],
  worth: readonly number[],
  precise: () => readonly Fixed[],
): number {
  const divisor = worth[whole.length] ?? 1;
  const terms = whole.map((amount, index) => amount * (worth[index] ?? 0));
  const exact = -terms.reduce((sum, term) => sum + term, 0) / divisor;
  // Past this there are no minor units to round to.
  if (!(Math.abs(exact) < Number.MAX_SAFE_INTEGER)) return exact;
  const sign = exact < 0 ? -1 : 1;
  const size = terms.reduce((sum, term) => sum + Math.abs(term), 0);
  const error = (RELATIVE_ERROR * size) / divisor + Number.MIN_VALUE;
  const rounded = roundWhenSure(Math.abs(exact), error, "nearest", () => {
    const places = precise();
    const sum = whole.reduce((so, amount, index) => so + BigInt(amount) * (places[index] ?? 0n), 0n);
    return over(-BigInt(sign) * sum, places[whole.length] ?? 0n);
  });
  return sign * rounded;
}
