import { asTheyStand, type PlanPart } from "./part";

/** How many first payments are just interest. */
export const interestOnly: PlanPart = {
  read: plan => asTheyStand(plan, "interestOnly"),
  words: ({ interestOnly: count }) =>
    count === undefined ? [] : [`just interest on the first ${count} payments`],
};
