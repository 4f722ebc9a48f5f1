import { FLOAT, worthOf } from "../../../annuity";
import type { Loan } from "./repay";
import type { Terms } from "./terms";

/**
 * The first regular payment of a loan before it is rounded, without extras: the level payment, or the part of the
 * principal with the interest of its date.
 *
 * @param loan solved
 * @param terms its plan, read
 * @returns minor units, not whole
 * @example unroundedPayment(loan, terms) // 86066.4297…
 */
export function unroundedPayment({ amount, balloon, draft }: Loan, { solver }: Terms): number {
  const solved = solver.unrounded(amount, balloon);
  const first = draft.runs.findIndex(({ pay }) => pay.kind === "principal");
  const run = draft.runs[first];
  if (!run) return solved;
  const { atEnd } = worthOf(draft.runs.slice(0, first), null, FLOAT);
  return solved + (amount / atEnd) * run.rate.value;
}
