/** A function that is asked only for as long as a budget of work lasts. */
export type WithinBudget = {
  /** The function while there is work left; above everything from then on, so that a search ends by itself. */
  at: (whole: number) => number;
  /** Whether it was asked more than the budget allows. */
  isSpent: () => boolean;
};

/**
 * Puts a budget of work on a function that a search asks. Work is counted, not timed, so that the same question has
 * the same answer on every machine.
 *
 * @param f a function of one whole number
 * @param work what asking it costs, in any unit
 * @param most the budget, in the same unit
 * @example withinBudget(whole => whole - 7, () => 1, 100).at(10) // 3
 */
export function withinBudget(
  f: (whole: number) => number,
  work: (whole: number) => number,
  most: number,
): WithinBudget {
  let left = most;
  return {
    at: whole => {
      if (left < 0) return Number.POSITIVE_INFINITY;
      left -= work(whole);
      return left < 0 ? Number.POSITIVE_INFINITY : f(whole);
    },
    isSpent: () => left < 0,
  };
}
