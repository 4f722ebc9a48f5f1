import type { Bracket } from "./bracket";

/** A function of one number, with its slope there. */
export type Sloped = (x: number) => { value: number; slope: number };

const MOST_STEPS = 200;

/**
 * The root of an increasing function inside a bracket.
 *
 * Newton's step is taken where it stays inside the bracket and the bracket shrinks fast enough; otherwise the bracket is
 * halved. Every value moves one end of the bracket, so a root that lies in it is always reached.
 *
 * @param f an increasing function and its slope
 * @param bracket where f is below zero, or zero; where it is above; where to start
 * @param near the relative error of the root to stop at
 * @example bracketedRoot(x => ({ value: x * x - 2, slope: 2 * x }), { low: 1, high: 2, guess: 1.5 }) // 1.414…
 */
export function bracketedRoot(f: Sloped, { low, high, guess }: Bracket, near = 1e-15): number {
  let [below, above] = [low, high];
  let x = guess;
  let lastStep = above - below;
  for (let step = 0; step < MOST_STEPS; step++) {
    const { value, slope } = f(x);
    if (value === 0) return x;
    if (value < 0) below = x;
    else above = x;
    const newton = x - value / slope;
    const good = newton > below && newton < above && Math.abs(newton - x) <= lastStep / 2;
    const next = good ? newton : below + (above - below) / 2;
    lastStep = Math.abs(next - x);
    if (lastStep <= near * Math.abs(next) || next === x || next <= below || next >= above) return next;
    x = next;
  }
  return x;
}
