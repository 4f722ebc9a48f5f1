import { isSolved } from "../../../annuity";
import { failure, success } from "../../../result";
import { changePay } from "../draft";
import type { Shape } from "./shape";

/** Just the interest on the first payment dates, so that nothing is repaid until after them. */
export const interestOnly: Shape<{ interestOnly?: number; balloon?: unknown }> = (draft, plan) => {
  const { interestOnly: asked, balloon } = plan;
  if (asked === undefined) return success(draft);
  const { payments } = draft;
  if (!Number.isInteger(asked) || asked < 1 || asked >= payments) {
    const end = balloon && asked >= payments ? " and contradict the balloon" : "";
    return failure(
      "interestOnly",
      `${asked} interest-only payments of ${payments} repay nothing before the end${end}; it must be a whole number from 1 to ${payments - 1}.`,
    );
  }
  if (draft.calendar.timing === "advance") {
    return failure(
      "interestOnly",
      "Interest-only payments need payments in arrears: in advance there is no interest yet to pay.",
    );
  }
  const runs = changePay(draft.runs, 1, asked, pay => (isSolved(pay) ? { kind: "interest" } : pay));
  return success({ ...draft, runs });
};
