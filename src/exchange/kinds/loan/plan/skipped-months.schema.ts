import Type from "typebox";
import { seen, Whole } from "../../../schema";

/** Calendar months without a payment. */
export const SkippedMonthsMembers = {
  skippedMonths: seen(
    Type.Optional(
      Type.Array(Whole(1, 12, "a month"), {
        minItems: 1,
        maxItems: 11,
        description: "a list of 1 to 11 months, such as [7, 8]",
      }),
    ),
  ),
};
