import { LEASE_PLAN_NAMES } from "./lease/plan-names";
import { LOAN_PLAN_NAMES, loanPlanName } from "./loan/plan/kinds";

/** What each kind of plan is called, of every kind of deal: apart from the kinds, for what shows no more than names. */
export const PLAN_NAMES = { ...LOAN_PLAN_NAMES, ...LEASE_PLAN_NAMES };

export type PlanName = keyof typeof PLAN_NAMES;

/** Which of them a plan is. */
export const planNameOf = (plan: { kind: Exclude<PlanName, "balloon">; balloon?: unknown }): PlanName =>
  plan.kind === "loan" ? loanPlanName(plan) : plan.kind;
