import { formatAmount } from "@/core";
import { type Departure, roundedFactor } from "@/core/match";
import type { LeasePlanFile } from "@/exchange/kinds/lease";
import { reckonedBy } from "@/exchange/kinds/lease/reckoning";
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
      if (departure.as === "flat") return now => ({ ...now, kind: "flatRate" });
      return departure.as === "nominal" ? ({ earning: _, ...now }) => ({ ...now, kind: "loan" }) : undefined;
    default:
      return undefined;
  }
}

/** The same of a lease's. */
export function takenByLease(
  departure: Departure,
  decimals: number,
): ((now: LeasePlanFile) => LeasePlanFile) | undefined {
  switch (departure.kind) {
    case "rounding":
      return ({ roundingStep: _, ...now }) => ({
        ...now,
        rounding: departure.rule,
        ...stepOf(departure.step, decimals),
      });
    case "timing":
      return now => ({ ...now, inAdvance: departure.timing === "advance" ? 1 : 0 });
    case "rounded":
      return now =>
        now.moneyFactor === undefined
          ? now
          : { ...now, moneyFactor: roundedFactor(String(now.moneyFactor), departure.decimals) };
    case "rate": {
      const { as } = departure;
      return as === "levelYield" || as === "moneyFactor" ? now => reckonedBy(now, as) : undefined;
    }
    default:
      return undefined;
  }
}
