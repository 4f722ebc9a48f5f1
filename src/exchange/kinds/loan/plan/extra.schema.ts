import Type from "typebox";
import { Amount, exact, IsoDate } from "../../../schema";

const MOST_EXTRAS = 120;

const Extra = exact({
  each: Type.Optional(Amount),
  yearly: Type.Optional(exact({ amount: Amount, from: IsoDate })),
  once: Type.Optional(
    Type.Array(exact({ date: IsoDate, amount: Type.Optional(Amount) }), {
      minItems: 1,
      maxItems: MOST_EXTRAS,
      description: `a list of 1 to ${MOST_EXTRAS} extras`,
    }),
  ),
});

/** Money on top of the plan's payments. */
export const ExtraMembers = {
  extra: Type.Optional(Extra),
};
