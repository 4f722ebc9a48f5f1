import type { Terms } from "./terms";

/**
 * How far the rounding of every row, and of what is solved for, can move the total of payments, in minor units: half a
 * unit each, with interest to the end.
 */
export function mostRounding({ solver, draft, payments, rounding }: Terms): number {
  if (draft.flat) return 0;
  const { solved, atEnd } = solver.worth;
  const run = draft.runs.find(({ pay }) => pay.kind === "principal");
  // Without a level payment every rounding of a part of the principal bears interest until the end.
  const grown = run ? solved * (1 + run.rate.value * payments) : solved / atEnd;
  return 2 * rounding.step * (grown + payments);
}
