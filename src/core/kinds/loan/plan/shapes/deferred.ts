import { NO_RATE } from "../../../../interest";
import { failure, success } from "../../../../result";
import { changePay } from "../draft";
import type { Shape } from "./shape";

/** A start without payments; interest is added to what is owed, or waived. */
export type Deferred = { payments: number; interest: "accrues" | "waived" };

/** No payment on the first payment dates of the term. */
export const deferred: Shape<{ deferred?: Deferred }> = (draft, { deferred: asked }) => {
  if (!asked) return success(draft);
  const { payments } = draft;
  if (payments === 1) {
    return failure("deferred", "There is one payment date, which cannot be deferred; plan more of them.");
  }
  if (!Number.isInteger(asked.payments) || asked.payments < 1 || asked.payments >= payments) {
    return failure(
      "deferred",
      `${asked.payments} deferred payment dates are not possible in a term of ${payments}; it must be a whole number from 1 to ${payments - 1}.`,
    );
  }
  const runs = changePay(draft.runs, 1, asked.payments, () => ({ kind: "none" }));
  let left = asked.payments;
  const waived = runs.map(run => {
    if (left <= 0) return run;
    left -= run.count;
    return { ...run, rate: NO_RATE };
  });
  return success({ ...draft, runs: asked.interest === "waived" ? waived : runs });
};
