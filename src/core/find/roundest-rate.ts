import { RATE_DECIMALS } from "./finders";

/**
 * The rate with the fewest decimals that gives the same figure as a found rate: of all rates that give a
 * payment of 645.74, the one that a person would write.
 *
 * @param last the highest rate on the right side, in hundred-millionths of a percent
 * @param measure the figure at a rate
 * @returns a rate at or below the last, in hundred-millionths of a percent
 */
export function roundestRate(last: number, measure: (rate: number) => number): number {
  const reached = measure(last);
  for (let decimals = 0; decimals < RATE_DECIMALS; decimals++) {
    const step = 10 ** (RATE_DECIMALS - decimals);
    const rounder = Math.floor(last / step) * step;
    if (measure(rounder) === reached) return rounder;
  }
  return last;
}
