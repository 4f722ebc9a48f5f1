import type { Result } from "../result";
import { success } from "../result";

/** What is looked for: the last whole number of a range at which a known figure is not above the one asked for. */
export type Sought = {
  /** Whether the known figure rises with the number, or falls. */
  rises: boolean;
  low: number;
  high: number;
  asked: number;
};

/** How far the known figure is above the one asked for, over a range turned so that it rises. */
export type Turned = {
  difference: (x: number) => number;
  from: number;
  to: number;
  /** A turned number is so many times the number itself. */
  sign: 1 | -1;
};

/** How a kind searches, and what it says where there is nothing to find. */
type Searching = {
  /** The known figure at a number; infinite where the deal cannot be priced there. */
  measure: (whole: number) => number;
  /** The last turned number on the right side; before the range where there is none. */
  last: (turned: Turned) => number;
  /** Why even the best number is on the wrong side. */
  none: (last: number, turned: Turned) => Result<never>;
  /** Why there is no last number, where there is none: even the most is on the right side. */
  unbounded: (last: number, turned: Turned) => Result<never> | undefined;
  /** The roundest number that gives the same, of a rate. */
  round?: (whole: number) => number;
};

/**
 * The one search for every figure of every kind: what falls is searched from its far end, so that the search always meets
 * a rising difference.
 *
 * @returns the number, or why there is none
 * @example
 * const none = () => undefined;
 * const last = ({ difference, from, to }) => { let x = from - 1; while (x < to && difference(x + 1) <= 0) x++; return x; };
 * lastRight({ rises: true, low: 0, high: 100, asked: 50 }, { measure: x => x * x, last, none, unbounded: none }).value // 7
 */
export function lastRight(sought: Sought, searching: Searching): Result<number> {
  const { rises, low, high, asked } = sought;
  const { measure, round } = searching;
  const sign = rises ? 1 : -1;
  const [from, to] = rises ? [low, high] : [-high, -low];
  const turned: Turned = { difference: x => measure(sign * x) - asked, from, to, sign };
  const last = searching.last(turned);
  if (last < from) return searching.none(last, turned);
  const unbounded = searching.unbounded(last, turned);
  if (unbounded) return unbounded;
  const whole = sign * last;
  return success(round ? round(whole) : whole);
}
