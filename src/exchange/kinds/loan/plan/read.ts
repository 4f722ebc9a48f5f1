import type { LoanPlan } from "@/core";
import type { Reader } from "../../../reading";
import { PLAN_PARTS } from "./parts";
import type { PlanFile } from "./plan.schema";

/** Turns a plan that passed its schema into the plan that the core computes with. */
export function readPlan(plan: PlanFile, read: Reader): LoanPlan {
  if (plan.datedPayments && (plan.payments !== undefined || plan.firstPayment !== undefined)) {
    read.refuse(
      "datedPayments",
      "A list of payments has its own number and dates; leave payments and firstPayment out.",
    );
  }
  const head: LoanPlan = {
    kind: plan.kind,
    yearlyRate: plan.yearlyRate === undefined ? null : String(plan.yearlyRate),
    payments: plan.payments ?? null,
    frequency: plan.frequency,
    rounding: plan.rounding ?? "nearest",
    signed: read.date("signed", "contract date", plan.signed),
    firstPayment: read.date("firstPayment", "first payment date", plan.firstPayment),
    payment: read.amount("payment", "payment", plan.payment),
  };
  for (const part of PLAN_PARTS) {
    const given = part.read(plan, read);
    if (given) Object.assign(head, given);
  }
  return head;
}
