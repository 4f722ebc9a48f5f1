import { asItStands, type PlanPart } from "./part";

/** A start without payments. */
export const deferred: PlanPart = {
  read: plan => asItStands(plan, "deferred"),
  words: ({ deferred: asked }) => {
    if (!asked) return [];
    const waits = asked.interest === "waived" ? "without interest" : "with interest added";
    return [`no payment on the first ${asked.payments} dates, ${waits}`];
  },
};
