import type { PlanPart } from "./part";

/** Money on top of the plan's payments. */
export const extra: PlanPart = {
  read: ({ extra: asked }, read) => {
    if (!asked) return undefined;
    const { each, yearly, once } = asked;
    return {
      extra: {
        ...(each !== undefined && { each: read.amount("extra", "extra with every payment", each) }),
        ...(yearly && {
          yearly: {
            amount: read.amount("extra", "yearly extra", yearly.amount) ?? 0,
            from: read.date("extra", "date of the yearly extra", yearly.from) ?? 0,
          },
        }),
        ...(once && {
          once: once.map(({ date, amount }) => ({
            amount: read.amount("extra", `extra on ${date}`, amount),
            date: read.date("extra", "date of the extra", date) ?? 0,
          })),
        }),
      },
    };
  },
  words: ({ extra: { each, yearly, once = [] } = {} }, { money, date }) => [
    each === undefined ? "" : `extra ${money(each)} with every payment`,
    yearly ? `extra ${money(yearly.amount)} every year from ${date(yearly.from)}` : "",
    ...once.map(
      each => `extra ${each.amount === undefined ? "to find" : money(each.amount)} on ${date(each.date)}`,
    ),
  ],
};
