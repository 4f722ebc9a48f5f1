import type { LoanFile } from "@/exchange/kinds/loan";
import { planRows, withPlanRows } from "../fields/plan-rows";

type PlanFile = LoanFile["plan"];

/** A part that a plan can have besides what every plan has. */
export type AddablePart = {
  name:
    | "balloon"
    | "interest-only start"
    | "start without payments"
    | "skipped months"
    | "steps"
    | "extra with every payment"
    | "extra every year"
    | "extra on a date"
    | "payments in advance"
    | "compounding"
    | "counting of days"
    | "rounding step"
    | "charge at signing";
  has: (plan: PlanFile) => boolean;
  add: (plan: PlanFile) => PlanFile;
  takeOut: (plan: PlanFile) => PlanFile;
};

/** The plan without some members. */
function without<Key extends keyof PlanFile>(...keys: Key[]) {
  return (plan: PlanFile): PlanFile => {
    const rest = { ...plan };
    for (const key of keys) delete rest[key];
    return rest;
  };
}

const withoutExtra = (key: keyof NonNullable<PlanFile["extra"]>) => (plan: PlanFile) => {
  const { [key]: _, ...extra } = plan.extra ?? {};
  return Object.keys(extra).length > 0 ? { ...plan, extra } : without("extra")(plan);
};

const today = ({ firstPayment, signed }: PlanFile) => firstPayment ?? signed ?? "2027-01-01";

/** Every part, in the order in which they stand. */
export const ADDABLE_PARTS: readonly AddablePart[] = [
  {
    name: "balloon",
    has: ({ balloon }) => balloon !== undefined,
    add: plan => ({ ...plan, balloon: { amount: "0" } }),
    takeOut: without("balloon"),
  },
  {
    name: "interest-only start",
    has: ({ interestOnly }) => interestOnly !== undefined,
    add: plan => ({ ...plan, interestOnly: 6 }),
    takeOut: without("interestOnly"),
  },
  {
    name: "start without payments",
    has: ({ deferred }) => deferred !== undefined,
    add: plan => ({ ...plan, deferred: { payments: 3, interest: "accrues" } }),
    takeOut: without("deferred"),
  },
  {
    name: "skipped months",
    has: ({ skippedMonths }) => skippedMonths !== undefined,
    add: plan => ({ ...plan, skippedMonths: [12] }),
    takeOut: without("skippedMonths"),
  },
  {
    name: "steps",
    has: ({ steps }) => steps !== undefined,
    add: plan => withPlanRows(plan, "steps", [{ from: 13, percent: "5" }]),
    takeOut: without("steps"),
  },
  {
    name: "extra with every payment",
    has: ({ extra }) => extra?.each !== undefined,
    add: plan => ({ ...plan, extra: { ...plan.extra, each: "0" } }),
    takeOut: withoutExtra("each"),
  },
  {
    name: "extra every year",
    has: ({ extra }) => extra?.yearly !== undefined,
    add: plan => ({ ...plan, extra: { ...plan.extra, yearly: { amount: "0", from: today(plan) } } }),
    takeOut: withoutExtra("yearly"),
  },
  {
    name: "extra on a date",
    has: plan => planRows(plan, "once").length > 0,
    add: plan => withPlanRows(plan, "once", [{ date: today(plan), amount: "0" }]),
    takeOut: withoutExtra("once"),
  },
  {
    name: "payments in advance",
    has: ({ timing }) => timing === "advance",
    add: ({ firstPayment: _, ...plan }) => ({ ...plan, timing: "advance" }),
    takeOut: without("timing"),
  },
  {
    name: "compounding",
    has: ({ compounding }) => compounding !== undefined && compounding !== "payments",
    add: plan => ({ ...plan, compounding: "yearly" }),
    takeOut: without("compounding"),
  },
  {
    name: "counting of days",
    has: ({ dayCount }) => dayCount !== undefined && dayCount !== "equal",
    add: plan => ({ ...plan, dayCount: "actual/365" }),
    takeOut: without("dayCount"),
  },
  {
    name: "rounding step",
    has: ({ roundingStep }) => roundingStep !== undefined,
    add: plan => ({ ...plan, roundingStep: "1" }),
    takeOut: without("roundingStep"),
  },
  {
    name: "charge at signing",
    has: ({ prepaidCharge }) => prepaidCharge !== undefined,
    add: plan => ({ ...plan, prepaidCharge: "0" }),
    takeOut: without("prepaidCharge"),
  },
];
