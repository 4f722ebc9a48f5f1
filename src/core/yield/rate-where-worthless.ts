import { bracketedRoot, rateBracket, type Sloped, simpleGuess } from "../solve";

const SMALLEST = 1e-7;
const LARGEST = 1e4;
const RATIO = 1.1;

/** Money at a time: above zero to the customer, below zero from the customer. */
type Timed = { amount: number; time: number };

/**
 * The rate at which money in and money out are worth nothing together.
 *
 * Where all money in comes before all money out there is exactly one such rate, found inside a bracket.
 * Otherwise there can be several, and the nearest to zero is given.
 *
 * @param flows in the order of their times
 * @param worth what the flows are worth at a rate, with its slope
 * @returns the rate as a fraction above −1, put back into the worth before it is given; or undefined where none fits
 */
export function rateWhereWorthless(flows: readonly Timed[], worth: Sloped): number | undefined {
  const rate = isOneWay(flows) ? onlyRate(flows, worth) : nearestToZero(worth);
  return rate !== undefined && isWorthless(flows, rate, worth) ? rate : undefined;
}

function onlyRate(flows: readonly Timed[], worth: Sloped): number | undefined {
  const bracket = rateBracket(rate => worth(rate).value, guessOf(flows));
  return bracket && bracketedRoot(worth, bracket);
}

/** What may be left at a rate, of all that moves: roundings of its last place, times the length of the term. */
const NEAR_NOTHING = 1e-6;

/** Whether flows are worth nothing at a rate: where they grow beyond all numbers, a change of sign is no root. */
function isWorthless(flows: readonly Timed[], rate: number, worth: Sloped): boolean {
  const { value, slope } = worth(rate);
  const moved = flows.reduce((sum, { amount, time }) => sum + Math.abs(amount) * (1 + rate) ** -time, 0);
  // Where the worth is steep, the last place of the rate alone moves it.
  return Math.abs(value) <= NEAR_NOTHING * moved + Math.abs(slope) * 1e-14 * Math.max(Math.abs(rate), 1e-9);
}

/** Whether all money in comes before all money out. */
function isOneWay(flows: readonly Timed[]): boolean {
  const firstOut = flows.findIndex(({ amount }) => amount < 0);
  const lastIn = flows.findLastIndex(({ amount }) => amount > 0);
  return firstOut > lastIn && lastIn >= 0;
}

function guessOf(flows: readonly Timed[]): number {
  let [received, paid, weighted] = [0, 0, 0];
  for (const { amount, time } of flows) {
    if (amount > 0) received += amount;
    else paid -= amount;
    weighted -= amount * time;
  }
  return simpleGuess(received, paid, weighted);
}

/** Looks outwards from no rate at all for a change of sign, then closes in on it. */
function nearestToZero(worth: Sloped): number | undefined {
  if (worth(0).value === 0) return 0;
  let [above, below] = [0, 0];
  for (let size = SMALLEST; size < LARGEST; size *= RATIO) {
    const found = rootBetween(worth, above, size);
    if (found !== undefined) return found;
    above = size;
    if (size >= 1) continue;
    const negative = rootBetween(worth, below, -size);
    if (negative !== undefined) return negative;
    below = -size;
  }
  return undefined;
}

function rootBetween(worth: Sloped, a: number, b: number): number | undefined {
  const sign = Math.sign(worth(b).value);
  if (sign === 0) return b;
  if (!Number.isFinite(worth(a).value) || !Number.isFinite(worth(b).value)) return undefined;
  if (sign === Math.sign(worth(a).value)) return undefined;
  const [low, high] = [Math.min(a, b), Math.max(a, b)];
  // The root finder wants a function that rises.
  const rises = Math.sign(worth(high).value);
  const rising: Sloped = rate => {
    const { value, slope } = worth(rate);
    return { value: value * rises, slope: slope * rises };
  };
  return bracketedRoot(rising, { low, high, guess: b });
}
