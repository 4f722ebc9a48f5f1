import { byPay, type Pay, steppedPayment } from "../../../../annuity";
import { extraOn } from "../extras";
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

/** What is planned for a payment date that is paid so. */
export function plannedPayment(pay: Pay, { solved, rounding, each }: Loan, number: number): Planned {
  const extra = extraOn(each, number);
  return byPay<Planned>(pay, {
    level: ({ raises }) => ({
      kind: "payment",
      each: steppedPayment(solved, raises, rounding) + extra,
      withInterest: false,
      isAgreed: false,
    }),
    principal: () => ({
      kind: "payment",
      each: solved + extra,
      withInterest: true,
      isAgreed: false,
    }),
    amount: ({ amount }) => ({
      kind: "payment",
      each: amount + extra,
      withInterest: false,
      isAgreed: true,
    }),
    interest: () => ({ kind: "interestOnly", each: extra, withInterest: true, isAgreed: false }),
    none: () => ({ kind: "noPayment", each: 0, withInterest: false, isAgreed: true }),
  });
}
