import Type from "typebox";
import { VEHICLE_CONDITIONS } from "@/core/programs";
import { Amount, Count, exact, IsoDate, OneOf, Percent } from "../schema";

const MOST_TOLD = 5000;

/** Which programs of a file of rates fit, why the others do not, and what would make them. */
export const ProgramsQuestion = exact({
  ask: Type.Literal("programs", { description: '"programs"' }),
  /** What those that fit are ranked by; the payment where it is left out. */
  rank: Type.Optional(OneOf("payment", "totalCost", "income")),
  /** Points of rate that the dealer adds; none where it is left out. */
  spread: Type.Optional(Percent('points of rate from 0 to 100, such as "1.24"', 100)),
  /** How many are told; all where it is left out. */
  most: Type.Optional(Count(1, MOST_TOLD, "a number of programs")),
  /** The day that counts where the deal has no day of signing; today where it is left out. */
  on: Type.Optional(IsoDate),
  /** What is known of the vehicle. */
  vehicle: Type.Optional(
    exact({
      condition: Type.Optional(OneOf(...VEHICLE_CONDITIONS)),
      modelYear: Type.Optional(Count(1885, 2199, "a year")),
      distance: Type.Optional(Count(0, 9_999_999, "a distance")),
      distanceUnit: Type.Optional(OneOf("km", "mi")),
      invoice: Type.Optional(Amount),
      bookValue: Type.Optional(Amount),
      listPrice: Type.Optional(Amount),
    }),
  ),
});

export type ProgramsQuestion = Type.Static<typeof ProgramsQuestion>;
