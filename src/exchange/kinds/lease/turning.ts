import type { LeaseQuote } from "@/core";
import { type Turning, typedOnly } from "../kind/turning";
import type { LeaseFile } from "./file/file.schema";
import type { LeasePlanFile } from "./file/plan.schema";
import { giveFoundLease } from "./give-found";
import { rateOfFactor } from "./reckoning";

/**
 * How a lease is turned into another kind, and another one into a lease: its rate is then that of one reckoned by level
 * yield, and what is left at its end is the residual.
 */
export const LEASE_TURNING: Turning<LeaseFile, LeaseQuote> = {
  giveFound: giveFoundLease,
  takenOver({ yearlyRate, moneyFactor, payments, frequency, rounding, roundingStep, signed }) {
    const rate = yearlyRate ?? (moneyFactor === undefined ? undefined : rateOfFactor(moneyFactor));
    return { yearlyRate: rate, payments, frequency, rounding, roundingStep, signed };
  },
  firstPlan({ atEnd, ...taken }, structure) {
    return typedOnly<LeasePlanFile>({
      kind: "lease",
      reckoning: "levelYield",
      ...taken,
      residual: atEnd && ("percent" in atEnd ? { ...atEnd, of: "price" } : atEnd),
      inAdvance: 1,
      taxes: structure.taxes?.map(({ name, rate }) => ({ name, rate, on: ["payment" as const] })),
    });
  },
};
