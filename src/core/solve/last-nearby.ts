/** How far past a number that is right another is looked for. */
const REACH = 64;

/**
 * The last right number near one that is right, where roundings put a few out of order: each of the next is looked at, as
 * long as one was right not far before.
 *
 * @param isRight whether a number is on the right side
 * @param held a number that is right
 * @param to the last number of the range
 * @param reach how many numbers are looked at past the last that is right
 * @example lastNearby(x => x <= 10 || x === 15, 10, 100) // 15
 */
export function lastNearby(
  isRight: (whole: number) => boolean,
  held: number,
  to: number,
  reach = REACH,
): number {
  let last = held;
  for (let whole = held + 1; whole <= Math.min(last + reach, to); whole++) if (isRight(whole)) last = whole;
  return last;
}
