/** Where two figures are the same: a whole number, and whether they are that to the minor unit, or only pass each other there. */
export type FirstTie = { at: number; isExact: boolean };

/** A stretch of whole numbers, on which the difference of two figures rises, falls or, flat, stays as it is. */
export type Stretch = { from: number; to: number; isFlat?: boolean };

/** Roundings can put a difference of a minor unit out of order for so many steps. */
const MOST_STEPS_BACK = 20_000;

/**
 * The smallest whole number at which a difference of two rounded figures is 0.
 *
 * On a stretch that is not flat the difference only rises or falls, but for roundings: the place of its change of sign is
 * halved down to, and what lies just before it is looked at one by one.
 *
 * @param difference minor units
 * @param stretches in order
 * @returns where the two are the same, or pass each other without being so; null where neither happens
 * @example firstTie(n => n - 7, [{ from: 0, to: 100 }]) // { at: 7, isExact: true }
 */
export function firstTie(difference: (at: number) => number, stretches: readonly Stretch[]): FirstTie | null {
  for (const { from, to, isFlat = false } of stretches) {
    const start = difference(from);
    if (start === 0) return { at: from, isExact: true };
    if (isFlat || difference(to) * start > 0) continue;
    return passing(difference, from, to, start > 0);
  }
  return null;
}

function passing(difference: (at: number) => number, from: number, to: number, isAbove: boolean): FirstTie {
  const isPast = (at: number) => (isAbove ? difference(at) <= 0 : difference(at) >= 0);
  let [low, high] = [from, to];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (isPast(middle)) high = middle;
    else low = middle;
  }
  let first = difference(high) === 0 ? high : undefined;
  const least = Math.max(from, high - MOST_STEPS_BACK);
  for (let at = high - 1; at >= least && Math.abs(difference(at)) <= 1; at--)
    if (difference(at) === 0) first = at;
  for (let at = high + 1; first === undefined && at <= to && Math.abs(difference(at)) <= 1; at++)
    if (difference(at) === 0) first = at;
  return first === undefined ? { at: high, isExact: false } : { at: first, isExact: true };
}

/**
 * The stretches between some places, each place a stretch of its own with its neighbors, so that it need not be known
 * to the last step.
 *
 * @param places in any order, as floats
 */
export function stretchesBetween(places: readonly number[], from: number, to: number): Stretch[] {
  const cuts = new Set([from, to]);
  for (const place of places)
    for (const cut of [Math.floor(place) - 1, Math.floor(place), Math.ceil(place), Math.ceil(place) + 1])
      if (cut > from && cut < to) cuts.add(cut);
  const ordered = [...cuts].sort((one, other) => one - other);
  return ordered.slice(1).map((cut, index) => ({ from: ordered[index] as number, to: cut }));
}
