const STEPS = [1, 2, 3, 6, 12, 24, 36, 60, 120, 240];
const MOST_TICKS = 8;

/**
 * The months that are named along the foot of a chart, evenly apart.
 *
 * @param longest months
 * @example monthTicks(36) // [0, 6, 12, 18, 24, 30, 36]
 */
export function monthTicks(longest: number): number[] {
  const step = STEPS.find(each => longest / each <= MOST_TICKS) ?? longest;
  return Array.from({ length: Math.floor(longest / step) + 1 }, (_, index) => index * step);
}
