/**
 * The last whole number of a range at which a difference is not above zero, where the difference rises over
 * the range. Looks outwards from a guess, then narrows the bracket by interpolation and halving.
 *
 * @param difference below or at zero on the right side of the answer, above zero beyond it
 * @param low the first number of the range
 * @param high the last number of the range
 * @param guess where to start; any number
 * @returns the number, or `low - 1` where even the first is beyond
 * @example lastWhole(x => x * x - 50, 0, 100, 3) // 7
 */
export function lastWhole(
  difference: (whole: number) => number,
  low: number,
  high: number,
  guess: number,
): number {
  let [held, heldAt] = [low - 1, Number.NaN];
  let [beyond, beyondAt] = [high + 1, Number.NaN];
  let probe = Math.min(Math.max(Math.round(guess), low), high);
  for (let step = 1; beyond - held > 1; step++) {
    const at = difference(probe);
    if (at <= 0) [held, heldAt] = [probe, at];
    else [beyond, beyondAt] = [probe, at];
    probe = nextProbe(held, heldAt, beyond, beyondAt, probe, step);
  }
  return held;
}

function nextProbe(
  held: number,
  heldAt: number,
  beyond: number,
  beyondAt: number,
  last: number,
  step: number,
): number {
  const middle = Math.floor((held + beyond) / 2);
  if (Number.isNaN(heldAt) || Number.isNaN(beyondAt)) {
    const outwards = last === held ? last + 4 ** step / 4 : last - 4 ** step / 4;
    return outwards > held && outwards < beyond ? outwards : middle;
  }
  // Every third step halves, so that a difference that bends cannot hold the search up.
  if (step % 3 === 0 || !Number.isFinite(heldAt) || !Number.isFinite(beyondAt)) return middle;
  const between = held + Math.round((-heldAt / (beyondAt - heldAt)) * (beyond - held));
  // One off the crossing, so that the bracket closes from both sides.
  const probe = last === held ? between + 1 : between - 1;
  return Math.min(Math.max(probe, held + 1), beyond - 1);
}
