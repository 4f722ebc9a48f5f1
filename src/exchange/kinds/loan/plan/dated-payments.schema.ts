import Type from "typebox";
import { MOST_PAYMENTS } from "@/core";
import { Amount, exact, IsoDate } from "../../../schema";

/** Any list of dated payments; the plan's title says how many. */
export const DatedPaymentsMembers = {
  datedPayments: Type.Optional(
    Type.Array(exact({ date: IsoDate, amount: Type.Optional(Amount) }), {
      minItems: 1,
      maxItems: MOST_PAYMENTS,
      description: `a list of 1 to ${MOST_PAYMENTS} payments`,
    }),
  ),
};
