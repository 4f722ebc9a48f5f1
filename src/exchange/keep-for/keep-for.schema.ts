import Type from "typebox";
import { LONGEST_KEPT, MOST_DRIVEN } from "@/core/horizon";
import { Amount, exact, OneOf, Percent, seen, Whole } from "../schema";
import { PriceOfDistance } from "../schema/distance.schema";
import { LineName } from "../structure/structure.schema";

const MOST_POINTS = 60;
const HIGHEST_PERCENT = 1000;

const Months = Whole(1, LONGEST_KEPT, "a whole number of months");

/** A distance a year, of whatever it is that is driven. */
const Driven = Type.Number({
  minimum: 0,
  maximum: MOST_DRIVEN,
  description: `a distance a year from 0 to ${MOST_DRIVEN}`,
});

const CurvePoint = exact({
  month: seen(Whole(0, LONGEST_KEPT, "a whole number of months")),
  percent: seen(Percent(`a percent from 0 to ${HIGHEST_PERCENT}, such as "56"`, HIGHEST_PERCENT)),
});

/** What a vehicle will be worth, by its age and by what is driven. */
const CURVE = {
  points: seen(
    Type.Array(CurvePoint, {
      minItems: 1,
      maxItems: MOST_POINTS,
      description: `a list of 1 to ${MOST_POINTS} points, each a month and a percent`,
    }),
  ),
  normalDistance: seen(Type.Optional(Driven)),
  beyond: seen(Type.Optional(PriceOfDistance)),
  realized: seen(Type.Optional(Percent('a percent from 0 to 100, such as "95"', 100))),
};

const Unit = OneOf("mi", "km");

/** A curve of the house, for vehicles of some kind. */
export const HouseCurveSchema = exact({ name: LineName, unit: Unit, ...CURVE });

/** How long a vehicle is kept, and what is assumed of that. */
export const KEEP_FOR = {
  months: seen(Months),
  distance: seen(Driven),
  unit: seen(Unit),
  cashRebate: seen(Type.Optional(exact({ amount: seen(Amount), from: seen(OneOf("seller", "maker")) }))),
  /** What paying in cash takes, where it is other than what follows from the deal. */
  cash: seen(
    Type.Optional(
      exact({
        price: seen(Type.Optional(Amount)),
        charges: seen(Type.Optional(Amount)),
        taxes: seen(Type.Optional(Amount)),
        rebates: seen(Type.Optional(Amount)),
      }),
    ),
  ),
  value: seen(
    exact({
      ...CURVE,
      /** The house's curve that it was copied from. */
      from: seen(Type.Optional(LineName)),
      /** What the percents are of, where the deal has no list price. */
      listPrice: seen(Type.Optional(Amount)),
    }),
  ),
  /** Whether figures are compared in today's money. */
  todaysMoney: seen(Type.Optional(Type.Boolean({ description: "true or false" }))),
};

export const KeepForSchema = exact(KEEP_FOR);

/** What becomes of the vehicle after the end of what was agreed. */
export const AfterEndWord = OneOf("buy", "again", "handBack");

export type KeepForFile = Type.Static<typeof KeepForSchema>;
export type HouseCurve = Type.Static<typeof HouseCurveSchema>;
