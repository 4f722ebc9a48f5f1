import Type from "typebox";
import { LARGEST_AMOUNT } from "@/core";
import { LONGEST_NAME } from "../deal-document";
import { Currency, exact } from "../schema";

/** How many vehicles a list can bring in at once. */
const MOST_VEHICLES = 2000;

const Minor = Type.Union([Type.Integer({ minimum: 0, maximum: LARGEST_AMOUNT * 100 }), Type.Null()], {
  description: "minor units of the currency, 0 or more, or null",
});

/** A vehicle that can be sold. */
export const VehicleSchema = exact({
  description: Type.String({
    minLength: 1,
    maxLength: LONGEST_NAME,
    pattern: "^[^\\u0000-\\u001f\\u007f]*[^\\u0000-\\u0020\\u007f][^\\u0000-\\u001f\\u007f]*$",
    description: `one line of 1 to ${LONGEST_NAME} characters`,
  }),
  priceMinor: Minor,
  /** Of the dealer's side: told apart from the rest, and left as it is where it is left out. */
  costMinor: Type.Optional(Minor),
  listPriceMinor: Minor,
  currency: Currency,
});

/** Some vehicles for the stock. */
export const VehiclesSchema = exact({
  vehicles: Type.Array(VehicleSchema, {
    minItems: 1,
    maxItems: MOST_VEHICLES,
    description: `a list of 1 to ${MOST_VEHICLES} vehicles`,
  }),
});

export type VehicleFile = Type.Static<typeof VehicleSchema>;
