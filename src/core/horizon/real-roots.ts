/** A part of a sum that falls off with a rate: `amount × e^(−s × time)`. */
export type Term = { time: number; amount: number };

const MOST_HALVINGS = 200;
/** Beyond it nothing that a return could be is left. */
const MOST_DOUBLINGS = 12;

/**
 * Every place at which a sum of falling parts changes its sign, in order.
 *
 * As many as the parts in the order of their times change signs, or fewer. Between two parts of unlike sign, at time τ,
 * the sum times `e^(sτ)` has a slope whose parts `amount × (τ − time)` change signs once less: its own places part the
 * line into stretches on which the sum times `e^(sτ)` only rises or only falls, and each is halved down to its place.
 *
 * @param terms parts by time, each time once, no amount 0
 * @example signChanges([{ time: 0, amount: -100 }, { time: 1, amount: 104 }])[0] // 0.0392207131…
 */
export function signChanges(terms: readonly Term[]): number[] {
  const change = terms.findIndex(
    ({ amount }, index) => index > 0 && amount > 0 !== (terms[index - 1] as Term).amount > 0,
  );
  if (change < 0) return [];
  const tau = ((terms[change - 1] as Term).time + (terms[change] as Term).time) / 2;
  const slopes = terms.map(({ time, amount }) => ({ time, amount: amount * (tau - time) }));
  const turns = signChanges(slopes);
  const found: number[] = [];
  for (let index = 0; index <= turns.length; index++) {
    const place = between(terms, turns[index - 1], turns[index]);
    if (place !== undefined && place !== found.at(-1)) found.push(place);
  }
  return found;
}

/** The one place between two, of which each may be open; undefined where there is none. */
function between(
  terms: readonly Term[],
  from: number | undefined,
  to: number | undefined,
): number | undefined {
  const last = terms.at(-1) as Term;
  const first = terms[0] as Term;
  const lowIsAbove = from === undefined ? last.amount > 0 : signAt(terms, from) > 0;
  const highIsAbove = to === undefined ? first.amount > 0 : signAt(terms, to) > 0;
  if (lowIsAbove === highIsAbove) return undefined;
  const start = from ?? reached(terms, to ?? 0, -1, lowIsAbove);
  const end = to ?? reached(terms, from ?? 0, 1, highIsAbove);
  if (start === undefined || end === undefined) return undefined;
  let [low, high] = [start, end];
  for (let step = 0; step < MOST_HALVINGS; step++) {
    const middle = low + (high - low) / 2;
    if (middle <= low || middle >= high) break;
    if (signAt(terms, middle) > 0 === lowIsAbove) low = middle;
    else high = middle;
  }
  return high;
}

/** A place in a direction at which the sum has the sign that it has far out. */
function reached(
  terms: readonly Term[],
  from: number,
  direction: 1 | -1,
  isAbove: boolean,
): number | undefined {
  for (let step = 0; step < MOST_DOUBLINGS; step++) {
    const place = from + (direction * 2 ** step) / 16;
    if (signAt(terms, place) > 0 === isAbove) return place;
  }
  return undefined;
}

/** Below 0, 0 or above 0, as the sum is; the largest part is held to 1, so that none is too large for a float. */
function signAt(terms: readonly Term[], s: number): number {
  const least = s > 0 ? (terms[0] as Term).time : (terms.at(-1) as Term).time;
  let sum = 0;
  for (const { time, amount } of terms) sum += amount * Math.exp(-s * (time - least));
  return sum;
}
