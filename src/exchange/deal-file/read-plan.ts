import type { LoanPlan } from "@/core";
import type { PlanFile } from "./plan";
import type { Reader } from "./reader";

/** Turns a plan that passed its schema into the plan that the core computes with. */
export function readPlan(plan: PlanFile, read: Reader): LoanPlan {
  const { datedPayments } = plan;
  if (datedPayments && (plan.payments !== undefined || plan.firstPayment !== undefined)) {
    read.refuse(
      "datedPayments",
      "A list of payments has its own number and dates; leave payments and firstPayment out.",
    );
  }
  return {
    kind: plan.kind,
    yearlyRate: plan.yearlyRate === undefined ? null : String(plan.yearlyRate),
    payments: plan.payments ?? null,
    frequency: plan.frequency,
    rounding: plan.rounding ?? "nearest",
    signed: read.date("signed", "contract date", plan.signed),
    firstPayment: read.date("firstPayment", "first payment date", plan.firstPayment),
    payment: read.amount("payment", "payment", plan.payment),
    ...asTheyStand(plan),
    ...(plan.twiceMonthlyDays && { twiceMonthlyDays: twoDays(plan.twiceMonthlyDays) }),
    ...(plan.roundingStep !== undefined && {
      roundingStep: read.amount("roundingStep", "rounding step", plan.roundingStep) ?? 1,
    }),
    ...(plan.balloon && { balloon: readBalloon(plan.balloon, read) }),
    ...(plan.steps && { steps: plan.steps.map(step => readStep(step, read)) }),
    ...(datedPayments && {
      datedPayments: datedPayments.map(({ date, amount }) => ({
        date: read.date("datedPayments", "payment date", date) ?? 0,
        amount: read.amount("datedPayments", `payment on ${date}`, amount),
      })),
    }),
    ...(plan.extra && { extra: readExtra(plan.extra, read) }),
    ...(plan.prepaidCharge !== undefined && {
      prepaidCharge: read.amount("prepaidCharge", "charge paid at signing", plan.prepaidCharge) ?? 0,
    }),
  };
}

/** What a plan may leave out and the core takes as it stands. */
const AS_THEY_STAND = [
  "compounding",
  "timing",
  "dayCount",
  "earning",
  "interestOnly",
  "deferred",
  "skippedMonths",
] as const satisfies (keyof PlanFile & keyof LoanPlan)[];

/** Those of them that a plan has. */
function asTheyStand(plan: PlanFile): Pick<LoanPlan, (typeof AS_THEY_STAND)[number]> {
  const given: Record<string, unknown> = {};
  for (const name of AS_THEY_STAND) if (plan[name] !== undefined) given[name] = plan[name];
  return given;
}

function twoDays([first = 0, second = 0]: readonly number[]): readonly [number, number] {
  return [first, second];
}

function readBalloon(balloon: NonNullable<PlanFile["balloon"]>, read: Reader) {
  return "percent" in balloon
    ? { percent: String(balloon.percent) }
    : { amount: read.amount("balloon", "balloon", balloon.amount) ?? 0 };
}

function readStep(step: NonNullable<PlanFile["steps"]>[number], read: Reader) {
  return "percent" in step
    ? { from: step.from, percent: String(step.percent) }
    : { from: step.from, amount: read.amount("steps", "stepped payment", step.amount) ?? 0 };
}

function readExtra({ each, yearly, once }: NonNullable<PlanFile["extra"]>, read: Reader) {
  return {
    ...(each !== undefined && { each: read.amount("extra", "extra with every payment", each) }),
    ...(yearly && {
      yearly: {
        amount: read.amount("extra", "yearly extra", yearly.amount) ?? 0,
        from: read.date("extra", "date of the yearly extra", yearly.from) ?? 0,
      },
    }),
    ...(once && {
      once: once.map(({ date, amount }) => ({
        amount: read.amount("extra", `extra on ${date}`, amount),
        date: read.date("extra", "date of the extra", date) ?? 0,
      })),
    }),
  };
}
