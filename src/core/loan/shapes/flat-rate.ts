import { failure, success } from "../../result";
import type { Earning } from "../draft";
import type { Shape } from "./shape";

/** The parts of a plan that a flat-rate loan has to go without, by the name a sentence gives them. */
const APART = {
  balloon: "a balloon",
  deferred: "deferred payments",
  interestOnly: "interest-only payments",
  skippedMonths: "skipped months",
  steps: "steps",
  datedPayments: "a list of payments",
  extra: "extra payments",
} as const;

type Inputs = { kind: string; earning?: Earning } & { [Part in keyof typeof APART]?: unknown };

/** Interest on the original amount for the whole term, also called add-on. */
export const flatRate: Shape<Inputs> = (draft, plan) => {
  if (plan.kind !== "flatRate") return success(draft);
  for (const part of Object.keys(APART) as (keyof typeof APART)[]) {
    if (plan[part] !== undefined) {
      return failure(part, `A flat-rate loan cannot have ${APART[part]}; its payments are all equal.`);
    }
  }
  const { timing, dayCount, compounding } = draft.calendar;
  if (timing === "advance" || dayCount !== "equal" || compounding !== "payments") {
    const figure = timing === "advance" ? "timing" : "dayCount";
    return failure(
      figure,
      "A flat-rate loan is paid in arrears over equal periods: its interest is on the original amount for the whole term.",
    );
  }
  return success({ ...draft, flat: { earning: plan.earning ?? "actuarial" } });
};
