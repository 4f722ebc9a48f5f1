import type { PlanPart } from "./part";

/** Payments that change along the term. */
export const steps: PlanPart = {
  read: ({ steps: asked }, read) => {
    if (!asked) return undefined;
    return {
      steps: asked.map(step =>
        "percent" in step
          ? { from: step.from, percent: String(step.percent) }
          : { from: step.from, amount: read.amount("steps", "stepped payment", step.amount) ?? 0 },
      ),
    };
  },
  words: ({ steps: asked = [] }, { money }) =>
    asked.map(step => {
      const change = "percent" in step ? `changed by ${step.percent} %` : money(step.amount);
      return `from payment ${step.from} ${change}`;
    }),
};
