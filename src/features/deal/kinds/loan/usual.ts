// The options that are usually shown beside a loan and that only loans have.
import type { LoanFile } from "@/exchange/kinds/loan";
import { withOptional } from "@/exchange/members";
import type { StructureFile } from "@/exchange/structure";
import type { Offer, Usual } from "../../option/asked-kind";

const none = (sentence: string): Usual => ({ ok: false, sentence });

/** The same without its balloon, or with one where it has none. */
export function withOrWithoutBalloon(inputs: LoanFile, percent: string): Usual {
  if (inputs.find === "balloon") return none("The balloon is being found.");
  const { plan } = inputs;
  const balloon = plan.balloon === undefined ? { percent } : undefined;
  return { ok: true, options: [{ ...inputs, plan: withOptional(plan, "balloon", balloon) }] };
}

/** The rebates of an option; of a structure without one, the one that is offered. */
function offeredRebates({ structure }: LoanFile, rebate: string): StructureFile["rebates"] {
  return structure.rebates?.length ? structure.rebates : [{ name: "Rebate", amount: rebate }];
}

/** The deal with its rebate at its own rate. */
export const withRebate = (inputs: LoanFile, rebate: string): LoanFile => ({
  ...inputs,
  structure: { ...inputs.structure, rebates: offeredRebates(inputs, rebate) },
});

/** The rebate, or the low rate without it: what of the two the option is not already. */
export function rebateOrLowRate(inputs: LoanFile, { rebate, lowRate }: Offer): Usual {
  if (inputs.find !== "payment") return none("To compare them, find the payment.");
  const { rebates: _, ...without } = inputs.structure;
  const atLowRate: LoanFile = {
    ...inputs,
    structure: without,
    plan: { ...inputs.plan, yearlyRate: lowRate },
  };
  const hasRebate = (inputs.structure.rebates?.length ?? 0) > 0;
  return { ok: true, options: hasRebate ? [atLowRate] : [withRebate(inputs, rebate), atLowRate] };
}
