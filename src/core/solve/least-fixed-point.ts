import { lastWhole } from "./last-whole";

/** A whole number that a function gives back as it is, or the first beyond a jump where there is none. */
export type FixedPoint = { at: number; isFixed: boolean };

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
  /** Whether the function never falls. */
  rises: boolean;
};

/**
 * The least whole number that a function gives back as it is. The function rises more slowly than its argument, give or
 * take some steps of rounding.
 *
 * @param f the function
 * @param search what is known of it
 * @returns the fixed point; where the function jumps down over it, the first number near it that is above its value;
 *   null where it stays above its argument up to `high`
 * @example leastFixedPoint(x => 100 + Math.round(x / 2), { low: 100, high: 1000, guess: 100, window: () => 3, rises: true })?.at // 200
 */
export function leastFixedPoint(
  f: (whole: number) => number,
  { low, high, guess, window, rises }: Search,
): FixedPoint | null {
  const crossing = lastWhole(whole => whole - f(whole), low, high, guess);
  if (crossing >= high) return null;
  const around = window(crossing);
  let beyond: number | undefined;
  for (let whole = Math.max(low, crossing - around); whole <= crossing + 1 + around; ) {
    const value = f(whole);
    if (value === whole) return { at: whole, isFixed: true };
    if (value < whole) beyond ??= whole;
    // Where it never falls, no fixed point lies between a number and its value.
    whole = rises && value > whole ? value : whole + 1;
  }
  return { at: beyond ?? crossing + 1, isFixed: false };
}
