const BATCH_MS = 15;
const TURNS = 41;

const now = () => Number(process.hrtime.bigint()) / 1e6;

/** How often a piece of work runs in one batch, found while it warms up. */
function repeats(work: () => unknown): number {
  for (let count = 1; ; count *= 2) {
    const start = now();
    for (let k = 0; k < count; k++) work();
    const spent = now() - start;
    if (spent >= BATCH_MS) return Math.max(1, Math.round((count * BATCH_MS) / spent));
  }
}

/** The middle of some numbers. */
export function median(numbers: readonly number[]): number {
  const sorted = [...numbers].sort((a, b) => a - b);
  return sorted[sorted.length >> 1] ?? Number.NaN;
}

/**
 * How long one piece of work takes beside another, the two in turn, so that whatever else the machine does falls on
 * both: 1 where they take the same, above 1 where the first is slower.
 */
export function ratioByTurns(one: () => unknown, other: () => unknown): number {
  const count = Math.min(repeats(one), repeats(other));
  const timed = (work: () => unknown) => {
    const start = now();
    for (let k = 0; k < count; k++) work();
    return now() - start;
  };
  const ratios: number[] = [];
  for (let turn = 0; turn < TURNS; turn++) {
    // Who goes first changes, for the first pays for what the other left to be collected.
    const first = turn % 2 === 0 ? timed(one) : 0;
    const second = timed(other);
    ratios.push((first || timed(one)) / second);
  }
  return median(ratios);
}
