export { PLAN_KIND_NAMES } from "./kinds";
export type { PlanFile } from "./plan.schema";
export { readPlan } from "./read";
export { COMPOUNDED } from "./time";
export { planTitle } from "./title";
export { planWords } from "./words";
