import { asItStands, type PlanPart } from "./part";

/** How many first payments are just interest. */
export const interestOnly: PlanPart = {
  read: plan => asItStands(plan, "interestOnly"),
  words: ({ interestOnly: count }) =>
    count === undefined ? [] : [`just interest on the first ${count} payments`],
};
