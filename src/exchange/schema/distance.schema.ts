import Type from "typebox";
import { seen, Whole } from "./parts";

const MOST_DISTANCE = 1_000_000;
const HIGHEST_PRICE = 999_999;

export const ADistance = Whole(0, MOST_DISTANCE, "a whole number");

/** What a unit of distance costs, in whole units of the currency. */
export const PriceOfDistance = Type.Union(
  [Type.String({ pattern: "^\\d{1,6}(\\.\\d{1,6})?$" }), Type.Number({ minimum: 0, maximum: HIGHEST_PRICE })],
  { description: `a price from 0 to ${HIGHEST_PRICE}, such as "0.22"` },
);

/** How far may be driven a year, and what each unit beyond costs. */
export const DistanceBeyond = {
  perYear: seen(ADistance),
  unit: seen(
    Type.String({ pattern: "^[a-zA-Z]{1,12}$", description: 'a unit of distance, such as "mi" or "km"' }),
  ),
  beyond: seen(PriceOfDistance),
};
