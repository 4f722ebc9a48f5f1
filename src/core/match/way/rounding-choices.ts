import type { Rounding } from "../../money";

const RULES: readonly Rounding[] = ["nearest", "up", "down"];
/** What payments are rounded to, in minor units of currencies with two decimals and with more or fewer. */
const STEPS = [1, 5, 10, 50, 100, 500, 1000];

/** Ways to round a payment that are not the plan's own, the usual ones first. */
export function otherRoundings(
  own: { rule: Rounding; step: number } | null,
): { rule: Rounding; step: number }[] {
  return STEPS.flatMap(step => RULES.map(rule => ({ rule, step }))).filter(
    ({ rule, step }) => rule !== own?.rule || step !== own.step,
  );
}
