import { PLAIN_PART_NAMES, PLAIN_PARTS, type PlainPartName } from "@/core";
import type { LoanFile } from "@/exchange/kinds/loan";
import type { PlanPartFieldName } from "../fields/plan-part-fields";
import { planRows, withPlanRows } from "../fields/plan-rows";

type PlanFile = LoanFile["plan"];

/** A part that a plan can have besides what every plan has. */
export type AddablePart = {
  name:
    | (typeof PLAIN_PARTS)[PlainPartName]["part"]
    | "balloon"
    | "giving it back in place of the balloon"
    | "start without payments"
    | "skipped months"
    | "steps"
    | "extra with every payment"
    | "extra every year"
    | "extra on a date"
    | "charge for paying early"
    | "payments in advance"
    | "compounding"
    | "counting of days"
    | "rounding step";
  /** Of one that is a figure and nothing else: its field. */
  field?: PlanPartFieldName;
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

/** A part that is one figure. */
const plain = (name: PlainPartName): AddablePart => ({
  name: PLAIN_PARTS[name].part,
  field: name,
  has: plan => plan[name] !== undefined,
  add: plan => ({ ...plan, [name]: PLAIN_PARTS[name].asAdded }),
  takeOut: without(name),
});

/** Every part, in the order in which they stand. */
export const ADDABLE_PARTS: readonly AddablePart[] = [
  {
    name: "balloon",
    field: "balloon",
    has: ({ balloon }) => balloon !== undefined,
    add: plan => ({ ...plan, balloon: { amount: "0" } }),
    takeOut: without("balloon"),
  },
  {
    name: "giving it back in place of the balloon",
    has: ({ balloon }) => balloon?.returnable !== undefined,
    add: plan => ({
      ...plan,
      balloon: { ...(plan.balloon ?? { amount: "0" }), returnable: { fee: "0" } },
    }),
    takeOut: plan => {
      const { returnable: _, ...balloon } = plan.balloon ?? { amount: "0" };
      // One that was added for this alone goes with it.
      return "amount" in balloon && Number(balloon.amount) === 0
        ? without("balloon")(plan)
        : { ...plan, balloon: balloon as NonNullable<PlanFile["balloon"]> };
    },
  },
  plain("interestOnly"),
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
    field: "extra",
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
    name: "charge for paying early",
    field: "earlyFee",
    has: ({ earlyFee }) => earlyFee !== undefined,
    add: plan => ({ ...plan, earlyFee: { percent: "1" } }),
    takeOut: without("earlyFee"),
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
    field: "roundingStep",
    has: ({ roundingStep }) => roundingStep !== undefined,
    add: plan => ({ ...plan, roundingStep: "1" }),
    takeOut: without("roundingStep"),
  },
  ...PLAIN_PART_NAMES.filter(name => name !== "interestOnly").map(plain),
];
