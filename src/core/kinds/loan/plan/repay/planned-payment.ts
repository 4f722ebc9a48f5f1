import { byPay, type Pay, steppedPayment } from "../../../../annuity";
import type { Loan } from "./loan";
import type { RowKind } from "./row";

/** What a run plans to pay on each date, extra and all, besides its interest where that is paid on top. */
export type Planned = {
  kind: RowKind;
  each: number;
  withInterest: boolean;
  /** Whether it was agreed, so that it is paid as it is. */
  isAgreed: boolean;
};

/** What is planned for the dates of a run. */
export function plannedPayment(pay: Pay, { solved, rounding, extraEach }: Loan): Planned {
  return byPay<Planned>(pay, {
    level: ({ raises }) => ({
      kind: "payment",
      each: steppedPayment(solved, raises, rounding) + extraEach,
      withInterest: false,
      isAgreed: false,
    }),
    principal: () => ({
      kind: "payment",
      each: solved + extraEach,
      withInterest: true,
      isAgreed: false,
    }),
    amount: ({ amount }) => ({
      kind: "payment",
      each: amount + extraEach,
      withInterest: false,
      isAgreed: true,
    }),
    interest: () => ({ kind: "interestOnly", each: extraEach, withInterest: true, isAgreed: false }),
    none: () => ({ kind: "noPayment", each: 0, withInterest: false, isAgreed: true }),
  });
}
