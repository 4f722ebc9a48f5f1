import { bracketedRoot } from "../solve";

/** Money lent, level payments at the end of each period, and a last amount some periods on. */
export type LevelFlow = { lent: number; payment: number; count: number; last: number; lastAfter: number };

/**
 * The rate of one period at which level payments and a last amount are worth what was lent.
 *
 * Solved inside a bracket that widens from interest over the average balance until it holds the answer.
 *
 * @param flow amounts of 0 or more in one unit; `count` payments, the last amount after `lastAfter` periods
 * @returns the rate as a fraction, below zero where less is paid than was lent; undefined where nothing is
 *   lent or nothing is paid
 * @example levelRate({ lent: 1000, payment: 86.07, count: 12, last: 0, lastAfter: 12 }) // 0.0050…
 */
export function levelRate({ lent, payment, count, last, lastAfter }: LevelFlow): number | undefined {
  const paid = count * payment + last;
  if (!(lent > 0 && paid > 0)) return undefined;
  if (paid === lent) return 0;
  const weighted = (payment * count * (count + 1)) / 2 + last * lastAfter;

  // Below zero where the payments are worth more than was lent.
  const short = (rate: number) => {
    // The formula loses its places next to no rate at all; its series does not.
    if (Math.abs(rate) < 1e-9) return { value: lent - paid + rate * weighted, slope: weighted };
    const logGrowth = Math.log1p(rate);
    const discount = Math.exp(-count * logGrowth);
    const lastDiscount = lastAfter === count ? discount : Math.exp(-lastAfter * logGrowth);
    const annuity = -Math.expm1(-count * logGrowth) / rate;
    return {
      value: lent - payment * annuity - last * lastDiscount,
      slope:
        (payment * (annuity - (count * discount) / (1 + rate))) / rate +
        (last * lastAfter * lastDiscount) / (1 + rate),
    };
  };
  const simple = (paid - lent) / weighted;
  return bracketedRoot(short, ...bracketOf(short, Math.max(simple * (1 + (paid - lent) / paid / 1.5), -0.9)));
}

/** A bracket around the root of an increasing function, by steps that grow from a guess. */
function bracketOf(
  short: (rate: number) => { value: number },
  guess: number,
): [low: number, high: number, guess: number] {
  let step = Math.max(Math.abs(guess) / 4, 1e-9);
  if (short(guess).value <= 0) {
    let low = guess;
    let high = guess + step;
    while (short(high).value < 0) {
      low = high;
      step *= 4;
      high += step;
    }
    return [low, high, low];
  }
  let high = guess;
  let low = guess - step;
  while (low > -1 && short(low).value > 0) {
    high = low;
    step *= 4;
    low -= step;
  }
  // Towards −1 the worth of the payments grows beyond bounds.
  if (low <= -1) {
    low = (high - 1) / 2;
    while (short(low).value > 0) low = (low - 1) / 2;
  }
  return [low, high, low];
}
