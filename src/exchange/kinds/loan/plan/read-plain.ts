import type { LoanPlan } from "@/core";
import type { Reader } from "../../../reading";
import type { PlanFile } from "./plan.schema";

/** Turns what every plan has into the plan that the core computes with. */
export function readPlainPlan(plan: PlanFile, read: Reader): LoanPlan {
  return {
    kind: plan.kind,
    yearlyRate: plan.yearlyRate === undefined ? null : String(plan.yearlyRate),
    payments: plan.payments ?? null,
    frequency: plan.frequency,
    rounding: plan.rounding ?? "nearest",
    signed: read.date("signed", "contract date", plan.signed),
    firstPayment: read.date("firstPayment", "first payment date", plan.firstPayment),
    payment: read.amount("payment", "payment", plan.payment),
  };
}
