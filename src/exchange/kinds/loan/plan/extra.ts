import { extraWords } from "../../../extra-payments/extra-words";
import { readExtra } from "../../../extra-payments/read-extra";
import type { PlanPart } from "./part";

/** Money on top of the plan's payments. */
export const extra: PlanPart = {
  read: ({ extra: asked }, read) => {
    if (!asked) return undefined;
    // What a plan agrees on ends the loan sooner: lower payments are another plan.
    if (asked.once?.some(({ then }) => then === "lowerPayments"))
      read.refuse(
        "extra",
        "An extra payment of the plan ends the loan sooner; one with lowerPayments can be tried in early.",
      );
    return { extra: readExtra(asked, read) };
  },
  words: ({ extra: asked }, write) => (asked ? extraWords(asked, write) : []),
};
