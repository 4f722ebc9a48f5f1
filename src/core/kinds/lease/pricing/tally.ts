import { type CapitalizedLine, isDownFromDue } from "../../../structure";
import { capitalize } from "./capitalize";
import type { Capitalized } from "./capitalized";
import type { LeaseDeal } from "./lease";
import { leaseLines } from "./lines";
import { leaseTerms } from "./terms";

/** The tally of a lease that has no answer yet, in minor units. */
export type LeaseTally = { lines: readonly CapitalizedLine[]; found: Capitalized };

/**
 * The tally down to the adjusted capitalized cost of a lease whose plan is not complete, where no line of it hangs on the
 * payments.
 *
 * @param lease as given
 * @returns the lines and what they come to; undefined where the price or a line is missing, or hangs on the payments
 * @example leaseTally({ ...vanLease, plan: { ...vanLease.plan, residual: null } }).found.cost // 4000000
 */
export function leaseTally(lease: LeaseDeal): LeaseTally | undefined {
  const { structure, plan, find } = lease;
  const isOpen = structure.price === null || structure.down === null || find === "allowance";
  if (isOpen || hangsOnPayments(lease)) return undefined;
  // Any plan will do: nothing that is asked for follows from it.
  const drafted: LeaseDeal = {
    ...lease,
    plan: { ...plan, reckoning: "moneyFactor", moneyFactor: "0", payments: plan.payments ?? 1, inAdvance: 0 },
  };
  const found = capitalize(drafted, leaseTerms(drafted.plan));
  return { lines: leaseLines(structure, plan, found), found };
}

function hangsOnPayments({ structure, plan }: LeaseDeal): boolean {
  const { down, fees = [], extras = [] } = structure;
  return (
    isDownFromDue(down) ||
    plan.taxes.some(({ on }) => on.includes("sumOfPayments")) ||
    [...fees, ...extras].some(({ amount }) => "percent" in amount && amount.of === "totalOfPayments")
  );
}
