import Type from "typebox";
import { Amount, exact, IsoDate, seen } from "../../../schema";

const MOST_EXTRAS = 120;

const Extra = exact({
  each: seen(Type.Optional(Amount)),
  yearly: seen(Type.Optional(exact({ amount: seen(Amount), from: seen(IsoDate) }))),
  once: seen(
    Type.Optional(
      Type.Array(exact({ date: seen(IsoDate), amount: seen(Type.Optional(Amount)) }), {
        minItems: 1,
        maxItems: MOST_EXTRAS,
        description: `a list of 1 to ${MOST_EXTRAS} extras`,
      }),
    ),
  ),
});

/** Money on top of the plan's payments. */
export const ExtraMembers = {
  extra: seen(Type.Optional(Extra)),
};
