import Type from "typebox";
import { OneOf, seen } from "../schema";
import { PLACES } from "./places";

export const PlaceSchema = OneOf(...PLACES);

/** The place whose law counts; none where it was not said. */
export const PlaceMember = { place: seen(Type.Optional(PlaceSchema)) };
