import type { LoanPlan } from "@/core";

/** What each kind of plan is called inside a sentence. */
export const PLAN_KIND_NAMES: Record<LoanPlan["kind"], string> = {
  loan: "loan",
  flatRate: "flat-rate loan",
  equalPrincipal: "equal-principal loan",
};

/** Every kind of plan that a file can hold. */
export const PLAN_KINDS = Object.keys(PLAN_KIND_NAMES) as LoanPlan["kind"][];
