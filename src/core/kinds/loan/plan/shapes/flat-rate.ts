import { failure, success } from "../../../../result";
import type { Calendar, Earning, Flat } from "../draft";
import { earnedBySumOfDigits, flatCharge, flatTrueRate } from "../flat-rate";
import { conflictOf, type Part } from "./conflicts";
import type { Shape } from "./shape";

const EXCLUDED = [
  "balloon",
  "deferred",
  "interestOnly",
  "skippedMonths",
  "steps",
  "datedPayments",
  "extra",
] as const satisfies Part[];

type Inputs = { kind: string; earning?: Earning } & { [Excluded in (typeof EXCLUDED)[number]]?: unknown };

/** Interest on the original amount for the whole term, also called add-on. */
export const flatRate: Shape<Inputs> = (draft, plan) => {
  if (plan.kind !== "flatRate") return success(draft);
  const conflict = conflictOf(
    plan,
    EXCLUDED,
    part => `A flat-rate loan cannot have ${part}; its payments are all equal.`,
  );
  if (conflict) return conflict;
  const { timing, dayCount, compounding } = draft.calendar;
  if (timing === "advance" || dayCount !== "equal" || compounding !== "payments") {
    const figure = timing === "advance" ? "timing" : "dayCount";
    return failure(
      figure,
      "A flat-rate loan is paid in arrears over equal periods: its interest is on the original amount for the whole term.",
    );
  }
  return success({ ...draft, flat: flatOf(draft.calendar, plan.earning ?? "actuarial") });
};

function flatOf(calendar: Calendar, earning: Earning): Flat {
  const { payments } = calendar;
  const charge = (amount: number) => flatCharge(amount, calendar);
  return {
    earning,
    charge,
    trueRate: amount => flatTrueRate(amount, charge(amount), payments),
    earnedByDigits: (of, after) => earnedBySumOfDigits(of, payments, after),
  };
}
