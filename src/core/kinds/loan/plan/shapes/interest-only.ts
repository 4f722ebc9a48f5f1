import { isSolved } from "../../../../annuity";
import { failure, success } from "../../../../result";
import { changePay } from "../draft";
import type { Deferred } from "./deferred";
import type { Shape } from "./shape";

type Inputs = { interestOnly?: number; deferred?: Deferred; balloon?: unknown };

/**
 * Just the interest on the first payment dates, or on the first ones after a deferral, so that nothing is repaid until
 * after them.
 */
export const interestOnly: Shape<Inputs> = (draft, plan) => {
  const { interestOnly: asked, deferred, balloon } = plan;
  if (asked === undefined) return success(draft);
  const before = deferred?.payments ?? 0;
  const payments = draft.payments - before;
  if (payments < 2) {
    return failure(
      "interestOnly",
      before > 0
        ? "There is one payment after the deferral, so that none can be interest only; defer fewer payments."
        : "There is one payment, so that none can be interest only; plan more payments.",
    );
  }
  if (!Number.isInteger(asked) || asked < 1 || asked >= payments) {
    const end = balloon && asked >= payments ? " and contradict the balloon" : "";
    const left = before > 0 ? `the ${payments} after the deferral` : String(payments);
    return failure(
      "interestOnly",
      `${asked} interest-only payments of ${left} repay nothing before the end${end}; it must be a whole number from 1 to ${payments - 1}.`,
    );
  }
  if (draft.calendar.timing === "advance") {
    return failure(
      "interestOnly",
      "Interest-only payments need payments in arrears: in advance there is no interest yet to pay.",
    );
  }
  const runs = changePay(draft.runs, before + 1, before + asked, pay =>
    isSolved(pay) ? { kind: "interest" } : pay,
  );
  return success({ ...draft, runs });
};
