import type { LoanPlan } from "@/core";
import type { Reader } from "../../../reading";
import { PLAN_PARTS } from "./parts";
import type { PlanFile } from "./plan.schema";
import { readPlainPlan } from "./read-plain";

/** Turns a plan that passed its schema into the plan that the core computes with. */
export function readPlan(plan: PlanFile, read: Reader): LoanPlan {
  if (plan.datedPayments && (plan.payments !== undefined || plan.firstPayment !== undefined)) {
    read.refuse(
      "datedPayments",
      "A list of payments has its own number and dates; leave payments and firstPayment out.",
    );
  }
  const head = readPlainPlan(plan, read);
  for (const part of PLAN_PARTS) {
    const given = part.read(plan, read);
    if (given) Object.assign(head, given);
  }
  return head;
}
