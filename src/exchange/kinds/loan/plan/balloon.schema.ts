import Type from "typebox";
import { HIGHEST_BALLOON_PERCENT } from "@/core";
import { Amount, exact, Percent, seen } from "../../../schema";

const Balloon = Type.Union(
  [
    exact({ amount: seen(Amount) }),
    exact({
      percent: seen(
        Percent(
          `a percent of the price from 0 to ${HIGHEST_BALLOON_PERCENT}, such as "35"`,
          HIGHEST_BALLOON_PERCENT,
        ),
      ),
    }),
  ],
  { description: '{ "amount": … } or { "percent": … }' },
);

/** What is left to pay at the end. */
export const BalloonMembers = {
  balloon: seen(Type.Optional(Balloon)),
};
