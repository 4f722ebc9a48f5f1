import { formatAmount } from "@/core";
import type { Departure } from "@/core/match";
import type { LeasePlanFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";

type LoanPlan = LoanFile["plan"];

/** Everyday meanings are left out of a file. */
const stepOf = (step: number, decimals: number) =>
  step === 1 ? {} : { roundingStep: formatAmount(step, decimals) };

/** A convention as a change of a loan's plan; undefined where plans do not have it. */
export function takenByLoan(
  departure: Departure,
  decimals: number,
): ((now: LoanPlan) => LoanPlan) | undefined {
  switch (departure.kind) {
    case "counting": {
      const { count } = departure;
      return count === "noLeapDay/365" ? undefined : now => ({ ...now, dayCount: count });
    }
    case "timing":
      return ({ firstPayment: _, ...now }) => ({ ...now, timing: departure.timing });
    case "compounding":
      return now => ({ ...now, compounding: departure.compounding });
    case "rounding":
      return ({ roundingStep: _, ...now }) => ({
        ...now,
        rounding: departure.rule,
        ...stepOf(departure.step, decimals),
      });
    case "rate":
      return departure.as === "flat" ? now => ({ ...now, kind: "flatRate" }) : undefined;
    default:
      return undefined;
  }
}

/** The same of a lease's. */
export function takenByLease(
  departure: Departure,
  decimals: number,
): ((now: LeasePlanFile) => LeasePlanFile) | undefined {
  if (departure.kind === "rounding")
    return ({ roundingStep: _, ...now }) => ({
      ...now,
      rounding: departure.rule,
      ...stepOf(departure.step, decimals),
    });
  return departure.kind === "timing"
    ? now => ({ ...now, inAdvance: departure.timing === "advance" ? 1 : 0 })
    : undefined;
}
