/**
 * The whole number with the most zeros at its end that gives the same figure as a found one: of all rates that give a
 * payment of 645.74, the one that a person would write.
 *
 * @param last the highest number on the right side, as so many decimal places of a rate
 * @param places how many
 * @param measure the figure at a number
 * @returns a number at or below the last
 * @example roundest(649_123_456, 8, rate => Math.floor(rate / 1e6)) // 649000000
 */
export function roundest(last: number, places: number, measure: (whole: number) => number): number {
  const reached = measure(last);
  for (let decimals = 0; decimals < places; decimals++) {
    const step = 10 ** (places - decimals);
    const rounder = Math.floor(last / step) * step;
    if (measure(rounder) === reached) return rounder;
  }
  return last;
}
