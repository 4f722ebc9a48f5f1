import Type from "typebox";
import { Amount, CompoundingWord, OneOf, seen, TimingWord, Whole } from "../../../schema";

/** How time counts, and what payments are rounded to. */
export const TimeMembers = {
  compounding: seen(Type.Optional(CompoundingWord)),
  timing: seen(Type.Optional(TimingWord)),
  dayCount: seen(Type.Optional(OneOf("equal", "30/360", "actual/365", "actual/360", "actual/actual"))),
  twiceMonthlyDays: seen(
    Type.Optional(
      Type.Array(Whole(1, 31, "a day of the month"), {
        minItems: 2,
        maxItems: 2,
        description: "two days of the month, such as [1, 16]",
      }),
    ),
  ),
  roundingStep: seen(Type.Optional(Amount)),
};
