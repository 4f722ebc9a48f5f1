/**
 * The largest whole number in a range for which a condition holds, where the condition holds up to some
 * number and not beyond. Looks outwards from a guess, then halves the bracket.
 *
 * @param holds the condition, true then false over the range
 * @param guess where to start; any number
 * @param most the end of the range, which starts at 0
 * @returns the number, or -1 where the condition fails at 0
 * @example largestWhole(x => x * x <= 50, 3, 100) // 7
 */
export function largestWhole(holds: (whole: number) => boolean, guess: number, most: number): number {
  let low = -1;
  let high = most + 1;
  let probe = Math.min(Math.max(Math.round(guess), 0), most);
  for (let step = 1; high - low > 1; step *= 2) {
    if (holds(probe)) low = probe;
    else high = probe;
    const outwards = low === probe ? probe + step : probe - step;
    probe = outwards > low && outwards < high ? outwards : Math.floor((low + high) / 2);
  }
  return low;
}
