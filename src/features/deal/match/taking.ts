import type { DayCount } from "@/core";
import { formatAmount } from "@/core";
import type { Departure } from "@/core/match";
import type { LeasePlanFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";
import type { OptionAction } from "../option";

type LoanPlan = LoanFile["plan"];

/** A convention as an action on the option; undefined where plans do not have it. */
export function takingOf(departure: Departure, isLease: boolean, decimals: number): OptionAction | undefined {
  return isLease ? ofLease(departure, decimals) : ofLoan(departure, decimals);
}

const plan = (change: (now: LoanPlan) => LoanPlan): OptionAction => ({ type: "plan", change });
const lease = (change: (now: LeasePlanFile) => LeasePlanFile): OptionAction => ({ type: "lease", change });

/** Everyday meanings are left out of a file. */
const stepOf = (step: number, decimals: number) =>
  step === 1 ? {} : { roundingStep: formatAmount(step, decimals) };

function ofLoan(departure: Departure, decimals: number): OptionAction | undefined {
  switch (departure.kind) {
    case "counting": {
      const { count } = departure;
      return count === "noLeapDay/365"
        ? undefined
        : plan(now => ({ ...now, dayCount: count satisfies DayCount }));
    }
    case "timing":
      return plan(({ firstPayment: _, ...now }) => ({ ...now, timing: departure.timing }));
    case "compounding":
      return plan(now => ({ ...now, compounding: departure.compounding }));
    case "rounding":
      return plan(({ roundingStep: _, ...now }) => ({
        ...now,
        rounding: departure.rule,
        ...stepOf(departure.step, decimals),
      }));
    case "rate":
      return departure.as === "flat" ? plan(now => ({ ...now, kind: "flatRate" })) : undefined;
    default:
      return undefined;
  }
}

function ofLease(departure: Departure, decimals: number): OptionAction | undefined {
  switch (departure.kind) {
    case "rounding":
      return lease(({ roundingStep: _, ...now }) => ({
        ...now,
        rounding: departure.rule,
        ...stepOf(departure.step, decimals),
      }));
    case "timing":
      return lease(now => ({ ...now, inAdvance: departure.timing === "advance" ? 1 : 0 }));
    default:
      return undefined;
  }
}
