import { bracketedRoot, rateBracket, simpleGuess } from "../solve";

/** Money lent, level payments at the end of each period, and a last amount some periods on. */
type LevelFlow = { lent: number; payment: number; count: number; last: number; lastAfter: number };

/** Next to no rate at all the annuity formula loses its places; its series does not. */
const NO_RATE = 1e-9;

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
    if (Math.abs(rate) < NO_RATE) return { value: lent - paid + rate * weighted, slope: weighted };
    const logGrowth = Math.log1p(rate);
    const lost = -Math.expm1(-count * logGrowth);
    const annuity = lost / rate;
    const slope = (payment * (annuity - (count * (1 - lost)) / (1 + rate))) / rate;
    if (last === 0) return { value: lent - payment * annuity, slope };
    const lastWorth = last * Math.exp(-lastAfter * logGrowth);
    return {
      value: lent - payment * annuity - lastWorth,
      slope: slope + (lastAfter * lastWorth) / (1 + rate),
    };
  };
  const bracket = rateBracket(rate => short(rate).value, simpleGuess(lent, paid, weighted));
  return bracket && bracketedRoot(short, bracket);
}
