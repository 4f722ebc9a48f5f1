import { lastWhole } from "./last-whole";

/** A whole number that a function gives back as it is, or the first beyond a jump where there is none. */
type FixedPoint = { at: number; isFixed: boolean };

/** What is known of a function whose fixed point is looked for. */
export type Search = {
  /** At or below the least fixed point. */
  low: number;
  /** Above every fixed point. */
  high: number;
  /** Where to start looking. */
  guess: number;
  /** How far from the crossing rounding can put a fixed point. */
  window: (crossing: number) => number;
  /** The last number up to another one to which the function never falls, from a number on. */
  risesTo: (from: number, to: number) => number;
};

/**
 * The least whole number that a function gives back as it is. The function rises more slowly than its argument, give or
 * take some steps of rounding.
 *
 * @param f the function
 * @param search what is known of it
 * @returns the fixed point; where the function jumps down over it, the first number near it that is above its value;
 *   null where it stays above its argument up to `high`
 * @example leastFixedPoint(x => 100 + Math.round(x / 2), { low: 100, high: 1000, guess: 100, window: () => 3, risesTo: (from, to) => to })?.at // 200
 */
export function leastFixedPoint(
  f: (whole: number) => number,
  { low, high, guess, window, risesTo }: Search,
): FixedPoint | null {
  const crossing = lastWhole(whole => whole - f(whole), low, high, guess);
  if (crossing >= high) return null;
  const around = window(crossing);
  const last = crossing + 1 + around;
  let beyond: number | undefined;
  for (let whole = Math.max(low, crossing - around); whole <= last; ) {
    const value = f(whole);
    if (value === whole) return { at: whole, isFixed: true };
    if (value < whole) beyond ??= whole;
    whole = value > whole ? nextAbove(whole, value, risesTo) : nextBelow(whole, last, f, risesTo);
  }
  return { at: beyond ?? crossing + 1, isFixed: false };
}

/** As long as it does not fall, no fixed point lies between a number and its value. */
function nextAbove(whole: number, value: number, risesTo: Search["risesTo"]): number {
  return Math.min(value, risesTo(whole, value) + 1);
}

/** Nor beyond a number that it has not risen to by then. */
function nextBelow(
  whole: number,
  last: number,
  f: (whole: number) => number,
  risesTo: Search["risesTo"],
): number {
  const until = risesTo(whole, last);
  return until > whole && f(until) <= whole ? until + 1 : whole + 1;
}
