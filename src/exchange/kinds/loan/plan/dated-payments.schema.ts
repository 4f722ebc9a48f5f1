import Type from "typebox";
import { MOST_PAYMENTS } from "@/core";
import { Amount, exact, IsoDate, seen } from "../../../schema";

/** Any list of dated payments; the plan's title says how many. */
export const DatedPaymentsMembers = {
  datedPayments: seen(
    Type.Optional(
      Type.Array(exact({ date: seen(IsoDate), amount: seen(Type.Optional(Amount)) }), {
        minItems: 1,
        maxItems: MOST_PAYMENTS,
        description: `a list of 1 to ${MOST_PAYMENTS} payments`,
      }),
    ),
  ),
};
