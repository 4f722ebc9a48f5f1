import Type from "typebox";
import { LARGEST_AMOUNT } from "@/core";
import { RecordId, SomeLine } from "../deal-document/named.schema";
import { Currency, exact, IsoDate, OneOf } from "../schema";
import { FARTHEST, FIRST_MODEL_YEAR, LAST_MODEL_YEAR, LONGEST_NUMBER } from "./limits";
import { CONDITIONS, VEHICLE_KINDS } from "./vehicle-words";

/** How many vehicles a list can bring in at once. */
const MOST_VEHICLES = 2000;

const orNull = <Fact extends Type.TSchema>(fact: Fact, description: string) =>
  Type.Optional(Type.Union([fact, Type.Null()], { description: `${description}, or null` }));

const MINOR = { minimum: 0, maximum: LARGEST_AMOUNT * 100 };
const Minor = Type.Union([Type.Integer(MINOR), Type.Null()], {
  description: "minor units of the currency, 0 or more, or null",
});

const line = (most: number) =>
  Type.String({
    minLength: 1,
    maxLength: most,
    pattern: "^[^\\u0000-\\u001f\\u007f\\s]([^\\u0000-\\u001f\\u007f]*[^\\u0000-\\u001f\\u007f\\s])?$",
    description: `one line of 1 to ${most} characters, without spaces at its ends`,
  });

/** What the house calls a vehicle by: no two have the same one. */
export const StockNumber = line(LONGEST_NUMBER);

/** What is known of a vehicle besides its name and price; what is left out stays as it is kept. */
const FACTS = {
  stockNumber: orNull(StockNumber, `one line of 1 to ${LONGEST_NUMBER} characters`),
  kind: orNull(OneOf(...VEHICLE_KINDS), `one of ${VEHICLE_KINDS.join(", ")}`),
  condition: orNull(OneOf(...CONDITIONS), `one of ${CONDITIONS.join(", ")}`),
  modelYear: orNull(
    Type.Integer({ minimum: FIRST_MODEL_YEAR, maximum: LAST_MODEL_YEAR }),
    `a year from ${FIRST_MODEL_YEAR} to ${LAST_MODEL_YEAR}`,
  ),
  /** How far it has gone, in the unit that is said. */
  distance: orNull(Type.Integer({ minimum: 0, maximum: FARTHEST }), `a distance from 0 to ${FARTHEST}`),
  distanceUnit: orNull(OneOf("km", "mi"), '"km" or "mi"'),
  /** What the maker has stamped into it. */
  identification: orNull(line(LONGEST_NUMBER), `one line of 1 to ${LONGEST_NUMBER} characters`),
  /** What a guide says that it is worth, which guide, and of what day. */
  bookValueMinor: Type.Optional(Minor),
  bookGuide: orNull(line(LONGEST_NUMBER), `one line of 1 to ${LONGEST_NUMBER} characters`),
  bookDate: orNull(IsoDate, "a date such as 2026-11-24"),
};

/** A vehicle that can be sold. */
export const VehicleSchema = exact({
  /** The one that it is, where that is known. */
  id: Type.Optional(RecordId),
  description: SomeLine,
  priceMinor: Minor,
  listPriceMinor: Minor,
  currency: Currency,
  ...FACTS,
  /** Of the dealer's side: what it cost, and what its maker or its seller has invoiced; told apart from the rest. */
  costMinor: Type.Optional(Minor),
  invoiceMinor: Type.Optional(Minor),
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
/** What is known of a vehicle besides its name and price. */
export type VehicleFacts = Required<Pick<VehicleFile, keyof typeof FACTS>>;
