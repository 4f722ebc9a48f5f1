import type { PlanPart } from "./part";

/** What is left to pay at the end. */
export const balloon: PlanPart = {
  read: ({ balloon: asked }, read) => {
    if (!asked) return undefined;
    return "percent" in asked
      ? { balloon: { percent: String(asked.percent) } }
      : { balloon: { amount: read.amount("balloon", "balloon", asked.amount) ?? 0 } };
  },
  words: ({ balloon: asked }, { money }) => {
    if (!asked) return [];
    return [`balloon ${"percent" in asked ? `${asked.percent} % of the price` : money(asked.amount)}`];
  },
};
