import type { LoanPlan } from "@/core";

/** What each kind of plan is called inside a sentence. */
export const PLAN_KIND_NAMES: Record<LoanPlan["kind"], string> = {
  loan: "loan",
  flatRate: "flat-rate loan",
  equalPrincipal: "equal-principal loan",
};

/** Every kind of plan that a file can hold. */
export const PLAN_KINDS = Object.keys(PLAN_KIND_NAMES) as LoanPlan["kind"][];

/** What each plan is called where a balloon makes it another. */
export const LOAN_PLAN_NAMES = { ...PLAN_KIND_NAMES, balloon: "balloon loan" };

/** Which of them a plan of this kind is. */
export const loanPlanName = ({ balloon }: { balloon?: unknown }) => (balloon ? "balloon" : "loan");
