import { asItStands, type PlanPart } from "./part";

/** How the charge of a flat-rate loan is earned. */
export const flatRate: PlanPart = {
  read: plan => asItStands(plan, "earning"),
  words: ({ earning }) => (earning === "sumOfDigits" ? ["interest earned by the sum of the digits"] : []),
};
