import Type from "typebox";
import { Amount, CompoundingWord, OneOf, TimingWord, Whole } from "../../../schema";

/** How time counts, and what payments are rounded to. */
export const TimeMembers = {
  compounding: Type.Optional(CompoundingWord),
  timing: Type.Optional(TimingWord),
  dayCount: Type.Optional(OneOf("equal", "30/360", "actual/365", "actual/360", "actual/actual")),
  twiceMonthlyDays: Type.Optional(
    Type.Array(Whole(1, 31, "a day of the month"), {
      minItems: 2,
      maxItems: 2,
      description: "two days of the month, such as [1, 16]",
    }),
  ),
  roundingStep: Type.Optional(Amount),
};
