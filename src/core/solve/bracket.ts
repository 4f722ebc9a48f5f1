/** A root lies between `low` and `high`; start looking at `guess`. */
export type Bracket = { low: number; high: number; guess: number };

const NARROWEST = 1e-9;
const HIGHEST = 1e15;

/**
 * A bracket around the root of an increasing function over rates above −1, by steps that grow from a guess.
 *
 * @param value the function; below zero towards −1, above zero far up
 * @param guess above −1
 * @param start the first step; a quarter of the guess where left out
 * @returns ends on either side of the root, and the end that is nearer to the guess to start from; undefined
 *   where the function stays below zero however high the rate
 * @example rateBracket(rate => rate - 0.5, 0.1) // { low: 0.225, high: 0.625, guess: 0.225 }
 */
export function rateBracket(
  value: (rate: number) => number,
  guess: number,
  start = Math.abs(guess) / 4,
): Bracket | undefined {
  let step = Math.max(start, NARROWEST);
  if (value(guess) <= 0) {
    let [low, high] = [guess, guess + step];
    while (value(high) < 0) {
      if (high > HIGHEST) return undefined;
      step *= 4;
      [low, high] = [high, high + step];
    }
    return { low, high, guess: low };
  }
  let [low, high] = [guess - step, guess];
  while (low > -1 && value(low) > 0) {
    step *= 4;
    [low, high] = [low - step, low];
  }
  // Towards −1 the worth of the payments grows beyond bounds.
  if (low <= -1) {
    low = (high - 1) / 2;
    while (value(low) > 0) low = (low - 1) / 2;
  }
  return { low, high, guess: low };
}
