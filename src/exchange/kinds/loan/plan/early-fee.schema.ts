import Type from "typebox";
import { MOST_PAYMENTS } from "@/core";
import { Amount, exact, OneOf, Percent, seen, Whole } from "../../../schema";

const MOST_FEES = 10;
const MOST_PERIODS = 24;

/** One of an amount, a percent and a number of periods, and when it holds. */
const EarlyFee = exact({
  amount: seen(Type.Optional(Amount)),
  percent: seen(Type.Optional(Percent('a percent from 0 to 100, such as "1"', 100))),
  interestPeriods: seen(Type.Optional(Whole(1, MOST_PERIODS, "a whole number of periods"))),
  until: seen(Type.Optional(Whole(1, MOST_PAYMENTS, "the number of a payment"))),
  most: seen(Type.Optional(OneOf("interestLeft"))),
  on: seen(Type.Optional(OneOf("payoff", "anyEarlyMoney"))),
});

/** What money that comes early is charged with. */
export const EarlyFeeMembers = {
  earlyFee: seen(
    Type.Optional(
      Type.Union(
        [
          EarlyFee,
          Type.Array(EarlyFee, {
            minItems: 1,
            maxItems: MOST_FEES,
            description: `a list of 1 to ${MOST_FEES} charges`,
          }),
        ],
        { description: `a charge for paying early, or a list of 1 to ${MOST_FEES}` },
      ),
    ),
  ),
};

export type EarlyFeeFile = Type.Static<typeof EarlyFee>;
