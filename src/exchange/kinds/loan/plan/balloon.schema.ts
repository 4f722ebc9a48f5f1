import Type from "typebox";
import { HIGHEST_BALLOON_PERCENT } from "@/core";
import { Amount, exact, Percent, seen } from "../../../schema";
import { DistanceBeyond } from "../../../schema/distance.schema";

/** The vehicle can be given back in place of paying the balloon: for a fee, and for distance beyond. */
const RETURNABLE = {
  returnable: seen(
    Type.Optional(exact({ fee: seen(Amount), distance: seen(Type.Optional(exact(DistanceBeyond))) })),
  ),
};

const Balloon = Type.Union(
  [
    exact({ amount: seen(Amount), ...RETURNABLE }),
    exact({
      percent: seen(
        Percent(
          `a percent of the price from 0 to ${HIGHEST_BALLOON_PERCENT}, such as "35"`,
          HIGHEST_BALLOON_PERCENT,
        ),
      ),
      ...RETURNABLE,
    }),
  ],
  { description: '{ "amount": … } or { "percent": … }' },
);

/** What is left to pay at the end. */
export const BalloonMembers = {
  balloon: seen(Type.Optional(Balloon)),
};
