import { type CapitalizedLine, capitalizedTally, type Structure } from "../../../structure";
import type { Capitalized } from "./capitalized";
import type { LeasePlan } from "./lease";

/** The tally of a lease, from the agreed price to the adjusted capitalized cost. */
export function leaseLines(structure: Structure, plan: LeasePlan, found: Capitalized): CapitalizedLine[] {
  return capitalizedTally(structure, { ...found, acquisitionFee: capitalizedFee(plan) });
}

/** The acquisition fee where it is capitalized, in minor units. */
export function capitalizedFee({ acquisitionFee }: LeasePlan): number | null {
  return acquisitionFee?.isFinanced ? acquisitionFee.amount : null;
}
