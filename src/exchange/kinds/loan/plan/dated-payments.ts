import type { PlanPart } from "./part";

/** Any list of dated payments; the plan's title says how many. */
export const datedPayments: PlanPart = {
  read: ({ datedPayments: list }, read) => {
    if (!list) return undefined;
    return {
      datedPayments: list.map(({ date, amount }) => ({
        date: read.date("datedPayments", "payment date", date) ?? 0,
        amount: read.amount("datedPayments", `payment on ${date}`, amount),
      })),
    };
  },
  words: () => [],
};
